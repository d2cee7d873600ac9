<?php

declare(strict_types=1);

namespace Embrel\Citation;

/**
 * A book, article, page or interview that the plan draws on. Two sources of different plans may have the same
 * id: one is then a copy of the other.
 */
final readonly class Source
{
    /** The fields that are plain texts, in the order in which they are shown. */
    public const TEXTS = [
        'title',
        'container',
        'publisher',
        'place',
        'edition',
        'volume',
        'issue',
        'pages',
        'url',
        'doi',
        'isbn',
        'language',
        'capitals',
        'remark',
    ];

    /**
     * @param string       $id        a ULID
     * @param list<Person> $authors   of a film its directors, of an interview who was asked
     * @param list<Person> $editors
     * @param string       $container the journal, newspaper, book or site that it stands in
     * @param string       $edition   a number, or words such as “revised”
     * @param string       $pages     a range such as 10-20
     * @param PartialDate|null $accessed when a page of the web was read
     * @param string       $doi       without the address before it
     * @param string       $language  a language tag; empty: that of the plan
     * @param array<string, list<Person>> $contributors by Contributor: translators and others
     * @param array<string, string>       $details      by Detail: what few sources have; dates in their stored form
     * @param string       $capitals  names in the title, apart by commas, that keep their capitals in any style
     */
    public function __construct(
        public string $id,
        public string $title,
        public SourceKind $kind = SourceKind::Other,
        public array $authors = [],
        public array $editors = [],
        public ?PartialDate $date = null,
        public ?PartialDate $accessed = null,
        public string $container = '',
        public string $publisher = '',
        public string $place = '',
        public string $edition = '',
        public string $volume = '',
        public string $issue = '',
        public string $pages = '',
        public string $url = '',
        public string $doi = '',
        public string $isbn = '',
        public string $language = '',
        public string $capitals = '',
        public string $remark = '',
        public array $contributors = [],
        public array $details = [],
    ) {}

    /**
     * @param array<string, mixed> $changes field → value of the field's own type
     */
    public function with(array $changes): self
    {
        return new self(...$changes + get_object_vars($this)); // @phpstan-ignore argument.type (each caller passes the field's own type)
    }

    /** @return list<Person> who stands for it: the authors, else the editors */
    public function people(): array
    {
        return $this->authors === [] ? $this->editors : $this->authors;
    }

    /** Who stands for it, as one text: the same for works of the same people. */
    public function byline(): string
    {
        return implode("\t", array_map(static fn(Person $person): string => $person->inverted(), $this->people()));
    }

    /** @return list<string> the names in its title that keep their capitals */
    public function names(): array
    {
        return array_values(
            array_filter(array_map(trim(...), explode(',', $this->capitals)), static fn(string $name): bool => $name !== ''),
        );
    }

    /** Where it can be read: its DOI as an address, else its own address. */
    public function address(): string
    {
        return $this->doi === '' ? $this->url : "https://doi.org/{$this->doi}";
    }

    /** A talk of the writer's own that nobody else can look up: named in the text, not listed. */
    public function isPersonal(): bool
    {
        $isTold = $this->container === '' && $this->publisher === '' && $this->address() === '';

        return $isTold && $this->kind->plain() === SourceKind::Interview;
    }

    public function detail(Detail $detail): string
    {
        return $this->details[$detail->value] ?? '';
    }

    public function text(string $field): string
    {
        $value = $this->{$field};

        return \is_string($value) ? $value : '';
    }
}
