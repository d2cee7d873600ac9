<?php

declare(strict_types=1);

namespace Embrel\Document;

use Embrel\Citation\ListLook;
use Embrel\Language\Language;
use Embrel\Plan\Properties;
use Embrel\Plan\Scheme;

/** A draft ready to be written: what it is called, how it is numbered and set, and its elements in reading order. */
final readonly class Document
{
    /**
     * @param list<Element>              $elements
     * @param list<array{element: Element, page: int}> $contents headings with an estimated page; empty: no contents list
     * @param array<string, int>         $missing  what a note refers to and the plan has no more → how often: `source`, `topicRef`
     * @param list<array{text: string, page: int}> $figures
     *     captions of the list of figures, the first of number 1, with an estimated page; empty: none
     * @param array<string, int>         $leftOut
     *     what was left out by choice → how often: `empty`, `notes`, `pictures`, `quote`, `point`, `aside`
     * @param string                     $date     of the hand-over, as it is printed; empty: none
     * @param Counted                    $counted  what counts as words
     * @param int                        $contentsDepth how deep the contents list goes
     * @param Origin|null                $origin   of which plan it is a draft, where the document is marked so that it can come back
     * @param list<Remark>               $remarks  what was said about it, to be handed over beside it
     * @param ListLook                   $listLook how the list of references is set
     * @param bool                       $marks    whether topics are marked so that the document can come back
     * @param bool                       $citationFields whether the list of references is a field, as the citations are
     */
    public function __construct(
        public string $title,
        public Properties $properties,
        public array $elements,
        public Scheme $scheme,
        public int $numberDepth,
        public array $contents = [],
        public array $missing = [],
        public Style $style = new Style(
            'Report',
            'Literata',
            'Literata',
            11.0,
            [16.0, 13.5, 12.0],
            1.25,
            6.0,
            0.0,
            [25.0, 25.0, 25.0, 25.0],
            null,
            false,
            false,
            ['subtitle', 'author'],
            false,
            ['', '', ''],
            ['{title}', '', '{page}'],
            null,
            false,
            false,
            false,
        ),
        public array $figures = [],
        public array $leftOut = [],
        public string $date = '',
        public Counted $counted = new Counted(),
        public bool $marks = true,
        public int $contentsDepth = 3,
        public ?Origin $origin = null,
        public array $remarks = [],
        public ListLook $listLook = new ListLook(),
        public bool $citationFields = false,
    ) {}

    /** @param list<Element> $elements */
    public function withElements(array $elements): self
    {
        return new self(...['elements' => $elements] + get_object_vars($this)); // @phpstan-ignore argument.type (as they were)
    }

    /** How far the lines of a reference stand from the margin, all but the first: in points. */
    public function referenceIndent(): float
    {
        return $this->listLook->indent($this->style->size);
    }

    /** The same in widths of the letters’ size, for pages whose letters grow; two where the style says nothing of it. */
    public function referenceEms(): float
    {
        return $this->listLook->isUsual() ? 2.0 : round($this->referenceIndent() / $this->style->size, 2);
    }

    /** The space between references in points; null: as between paragraphs. */
    public function referenceGap(): ?float
    {
        return $this->listLook->between === null
            ? null
            : $this->listLook->between * $this->style->size * $this->style->line * Style::SINGLE;
    }

    public function words(): int
    {
        return $this->counted->in($this->elements);
    }

    /** What a field of the title page or of a running line says; empty where it says nothing, or differs from page to page. */
    public function field(string $name): string
    {
        return match ($name) {
            'title' => $this->title,
            'subtitle' => $this->properties->subtitle,
            'author' => $this->properties->author,
            'subject' => $this->properties->subject,
            'date' => $this->date,
            'words' => \sprintf($this->language()->say('aboutWords'), $this->language()->number($this->roundWords())),
            default => '',
        };
    }

    private function roundWords(): int
    {
        $words = $this->words();

        return $words < 1000 ? $words : (int) round($words, -2);
    }

    public function language(): Language
    {
        return Language::of($this->properties->language);
    }

    /**
     * The bookmarks of the topics that links can lead to.
     *
     * @return array<string, string> topic → the name of its bookmark
     */
    public function anchors(): array
    {
        $anchors = [];
        foreach ($this->elements as $element) {
            if ($element->anchor !== null || $element->role === Role::Heading) {
                $anchors[$element->topic] = ($element->anchor ?? new Anchor($element->topic))->name();
            }
        }

        return $anchors;
    }

    public function hasLists(): bool
    {
        return $this->contents !== [] || $this->figures !== [];
    }

    /** Whether the text begins a page, after a title page or lists in front of it; a heading that begins one anyway needs no other. */
    public function startsPage(): bool
    {
        $first = $this->elements[0] ?? null;
        $begins = $first === null || ($this->style->breaks && $first->role === Role::Heading && $first->level === 1);

        return ($this->style->hasTitlePage || $this->hasLists()) && !$begins;
    }

    public function contentsTitle(): string
    {
        return $this->language()->say('contents');
    }

    public function figuresTitle(): string
    {
        return $this->language()->say('figures');
    }

    /** @return list<string> the fields under the title that say something */
    public function titleFields(): array
    {
        return array_values(
            array_filter(array_map($this->field(...), $this->style->titleFields), static fn(string $text): bool => $text !== ''),
        );
    }
}
