<?php

declare(strict_types=1);

namespace Embrel\Reader\Bibtex;

use Embrel\Citation\Detail;
use Embrel\Citation\Exchange\Biblatex;
use Embrel\Citation\PartialDate;
use Embrel\Citation\Person;
use Embrel\Citation\Source;
use Embrel\Citation\SourceKind;
use Embrel\Id\Ids;
use Embrel\Reader\SourceFields;
use Embrel\Reader\SourcesRead;

/**
 * Sources out of BibTeX (and the fields that BibLaTeX added). An entry that cannot be read is named by its line;
 * reading goes on with the next.
 */
final class BibtexReader
{
    private const FIELDS = [
        'journal' => 'container',
        'journaltitle' => 'container',
        'booktitle' => 'container',
        'maintitle' => 'container',
        'publisher' => 'publisher',
        'school' => 'publisher',
        'institution' => 'publisher',
        'organization' => 'publisher',
        'address' => 'place',
        'location' => 'place',
        'edition' => 'edition',
        'volume' => 'volume',
        'number' => 'issue',
        'issue' => 'issue',
        'pages' => 'pages',
        'url' => 'url',
        'doi' => 'doi',
        'isbn' => 'isbn',
        'langid' => 'language',
        'language' => 'language',
        'note' => 'remark',
        'annote' => 'remark',
        'howpublished' => 'remark',
    ];
    private const USED = [
        ...['title', 'subtitle', 'author', 'editor', 'year', 'month', 'day', 'date', 'urldate', 'crossref', 'eprint', 'eprinttype'],
        Biblatex::SUBTYPE,
    ];
    private const MONTHS = [
        'jan' => '1',
        'feb' => '2',
        'mar' => '3',
        'apr' => '4',
        'may' => '5',
        'jun' => '6',
        'jul' => '7',
        'aug' => '8',
        'sep' => '9',
        'oct' => '10',
        'nov' => '11',
        'dec' => '12',
    ];

    private string $text = '';
    private int $at = 0;

    /** @var array<string, string> */
    private array $strings = self::MONTHS;

    /** @var list<string> */
    private array $said = [];

    /** @var array<string, true> */
    private array $unknown = [];

    public function __construct(private readonly Ids $ids) {}

    public function read(string $text): SourcesRead
    {
        $this->text = $text;
        $sources = [];
        while (($start = strpos($text, '@', $this->at)) !== false) {
            $this->at = $start + 1;
            try {
                $source = $this->entry();
                if ($source !== null) {
                    $sources[] = $source;
                }
            } catch (\DomainException $why) {
                $line = substr_count($text, "\n", 0, $start) + 1;
                $this->said[] = "Line {$line}: {$why->getMessage()} This entry was left out.";
                // The next entry begins a line of its own; what is left of this one is passed over.
                $this->at
                    = preg_match('/^[ \t]*@[a-z]+\s*[{(]/mi', $text, $m, PREG_OFFSET_CAPTURE, min(\strlen($text), $start + 1)) === 1
                        ? $m[0][1]
                        : \strlen($text);
            }
        }
        return SourcesRead::of($sources, $this->said, $this->unknown);
    }

    /** @throws \DomainException */
    private function entry(): ?Source
    {
        if (preg_match('/\G\s*([A-Za-z]+)\s*([{(])/', $this->text, $m, 0, $this->at) !== 1) {
            return null;
        }
        $type = strtolower($m[1]);
        $end = $m[2] === '{' ? '}' : ')';
        $this->at += \strlen($m[0]);
        if ($type === 'comment' || $type === 'preamble') {
            $this->at -= 1;
            $m[2] === '{' ? $this->braced() : null;

            return null;
        }
        $key = $type === 'string'
            ? ''
            : $this->taken('/\G\s*([^\s,={}()]*)\s*(?:,|(?=[})]))/', 'its key is not followed by a comma.');
        $fields = $this->fields($end);
        if ($type === 'string') {
            $this->strings = $fields + $this->strings;

            return null;
        }

        return $this->source($type, $key, $fields);
    }

    /**
     * @return array<string, string> in small letters → value as it stands
     *
     * @throws \DomainException
     */
    private function fields(string $end): array
    {
        $fields = [];
        while (true) {
            preg_match('/\G[\s,]*/', $this->text, $m, 0, $this->at);
            $this->at += \strlen($m[0] ?? '');
            if (($this->text[$this->at] ?? '') === $end) {
                ++$this->at;

                return $fields;
            }
            $name = strtolower(
                $this->taken(
                    '/\G([A-Za-z][\w:+.\-]*)\s*=\s*/',
                    isset($this->text[$this->at]) ? 'a field without “name =” stands in it.' : 'it has no end.',
                ),
            );
            $value = $this->value();
            while (preg_match('/\G\s*#\s*/', $this->text, $m, 0, $this->at) === 1) {
                $this->at += \strlen($m[0]);
                $value .= $this->value();
            }
            $fields[$name] ??= $value;
        }
    }

    /** @throws \DomainException */
    private function taken(string $form, string $otherwise): string
    {
        if (preg_match($form, $this->text, $m, 0, $this->at) !== 1) {
            throw new \DomainException($otherwise);
        }
        $this->at += \strlen($m[0]);

        return $m[1] ?? '';
    }

    /** @throws \DomainException */
    private function value(): string
    {
        return match ($this->text[$this->at] ?? '') {
            '{' => $this->braced(),
            '"' => $this->quoted(),
            default => $this->bare($this->taken('/\G([^\s,#{}()"=]+)/', 'a field has no value.')),
        };
    }

    private function bare(string $word): string
    {
        return $this->strings[strtolower($word)] ?? $word;
    }

    /** @throws \DomainException */
    private function braced(): string
    {
        $start = $this->at + 1;
        for ($depth = 0, $at = $this->at; isset($this->text[$at]); ++$at) {
            $at += strcspn($this->text, '{}\\', $at);
            $sign = $this->text[$at] ?? '';
            if ($sign === '\\') {
                ++$at;
            } elseif ($sign === '{') {
                ++$depth;
            } elseif ($sign === '}' && --$depth === 0) {
                $this->at = $at + 1;

                return substr($this->text, $start, $at - $start);
            }
        }

        throw new \DomainException('its braces do not close.');
    }

    /** @throws \DomainException */
    private function quoted(): string
    {
        $start = ++$this->at;
        for ($depth = 0, $at = $start; isset($this->text[$at]); ++$at) {
            $at += strcspn($this->text, '{}"\\', $at);
            $sign = $this->text[$at] ?? '';
            $depth += $sign === '{' ? 1 : ($sign === '}' ? -1 : 0);
            if ($sign === '\\') {
                ++$at;
            } elseif ($sign === '"' && $depth <= 0) {
                $this->at = $at + 1;

                return substr($this->text, $start, $at - $start);
            }
        }

        throw new \DomainException('its quotation marks do not close.');
    }

    /**
     * @param array<string, string> $fields
     *
     * @throws \DomainException
     */
    private function source(string $type, string $key, array $fields): Source
    {
        $title = Latex::plain(($fields['title'] ?? '') . (isset($fields['subtitle']) ? ": {$fields['subtitle']}" : ''));
        if ($title === '' && !isset($fields['author']) && !isset($fields['url'])) {
            throw new \DomainException('it has neither a title nor an author.');
        }
        $kind = SourceKind::tryFrom($fields[Biblatex::SUBTYPE] ?? '')
            ?? Biblatex::KINDS[$type]
            ?? (isset($fields['url']) && !isset($fields['publisher']) ? SourceKind::WebPage : SourceKind::Other);
        $texts = ['capitals' => Latex::protectedWords($fields['title'] ?? '')];
        $details = [Detail::CitationKey->value => $key];
        $contributors = [];
        // Of a book in a series, its number there.
        if (isset($fields['series'], $fields['number']) && !$kind->isPart()) {
            $details[Detail::SeriesNumber->value] = Latex::plain($fields['number']);
            unset($fields['number']);
        }
        if (isset($fields['number']) && \in_array(Detail::Number, $kind->details(), true)) {
            $details[Detail::Number->value] = Latex::plain($fields['number']);
            unset($fields['number']);
        }
        if (strtolower($fields['eprinttype'] ?? '') === 'pubmed') {
            $details[Detail::Pmid->value] = Latex::plain($fields['eprint'] ?? '');
        }
        [$named, $roles] = [Biblatex::details(), Biblatex::contributors()];
        foreach ($fields as $name => $value) {
            $field = self::FIELDS[$name] ?? null;
            if (isset($named[$name])) {
                $details[$named[$name]->value] = Latex::plain($value);
            } elseif (isset($roles[$name])) {
                $contributors[$roles[$name]->value] = $this->people($value);
            } elseif ($field !== null) {
                $texts[$field]
                    = isset($texts[$field]) && $field === 'remark'
                        ? $texts[$field] . "\n" . Latex::plain($value)
                        : $texts[$field]
                            ?? ($field === 'url' || $field === 'doi'
                ? str_replace(['\\', '{', '}'], '', trim($value))
                : Latex::plain($value));
            } elseif (!\in_array($name, self::USED, true)) {
                $this->unknown[$name] = true;
            }
        }

        return SourceFields::source(
            $this->ids->next(),
            $title,
            $kind,
            $this->people($fields['author'] ?? ''),
            $this->people($fields['editor'] ?? ''),
            $this->date($fields),
            PartialDate::typed(Latex::plain($fields['urldate'] ?? '')),
            $texts,
            $contributors,
            $details,
        );
    }

    /** @param array<string, string> $fields */
    private function date(array $fields): ?PartialDate
    {
        if (isset($fields['date'])) {
            return PartialDate::of(Latex::plain($fields['date']));
        }
        $year = Latex::plain($fields['year'] ?? '');
        if (preg_match('/\A\d{4}\z/', $year) !== 1) {
            return PartialDate::typed($year);
        }
        $month = strtolower(Latex::plain($fields['month'] ?? ''));
        preg_match('/\A\d{1,2}/', Latex::plain($fields['day'] ?? ''), $day);

        return PartialDate::on((int) $year, (int) (self::MONTHS[substr($month, 0, 3)] ?? $month), (int) ($day[0] ?? 0));
    }

    /** @return list<Person> names apart by “and”; one wholly in braces is an organisation */
    private function people(string $value): array
    {
        $people = [];
        foreach (preg_split('/\s+and\s+(?![^{]*\})/i', trim($value), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $name) {
            $plain = Latex::plain($name);
            if (strtolower($plain) !== 'others' && $plain !== '') {
                $people[] = preg_match('/\A\{[^{}]*\}\z/', trim($name)) === 1 ? new Person($plain) : Person::typed($plain);
            }
        }

        return $people;
    }
}
