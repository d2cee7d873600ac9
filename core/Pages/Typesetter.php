<?php

declare(strict_types=1);

namespace Embrel\Pages;

use Embrel\Document\Anchor;
use Embrel\Document\Document;
use Embrel\Document\Pictures;
use Embrel\Document\Role;
use Embrel\Document\Style;
use Embrel\Draft\Index;
use Embrel\Fonts\Typefaces;
use Embrel\Language\Hyphenation;
use Embrel\Language\Language;

/** Sets a draft in pages: title, contents and figures with the pages they are on, text, and what runs at head and foot. */
final class Typesetter
{
    /** Before the number of an element: the place where it begins. */
    private const BEGINS = 'element ';
    /** How high a logo stands, in points. */
    private const LOGO = 28.0;

    private readonly Structure $structure;
    /** The tag of what stands before the text. */
    private readonly int $front;
    private readonly Blocks $blocks;
    private readonly Paragraphs $paragraphs;
    private readonly float $width;

    private function __construct(
        private readonly Document $document,
        private readonly Typefaces $faces,
        private readonly ?Pictures $pictures,
    ) {
        $hyphens = $document->style->isHyphenated ? Hyphenation::of(Language::of($document->properties->language)) : null;
        $this->paragraphs = new Paragraphs($faces, $hyphens);
        $this->structure = new Structure();
        $this->front = $this->structure->add('Sect');
        $this->blocks = new Blocks($document, $this->paragraphs, $faces, $pictures, $this->structure, $this->structure->add('Sect'));
        [, $right, , $left] = $document->style->edges();
        $this->width = $document->style->page($document->properties->pageSize)[0] - $left - $right;
    }

    public static function book(Document $document, Typefaces $faces, ?Pictures $pictures): Book
    {
        return $faces->shaping->settled(static fn(): Book => (new self($document, $faces, $pictures))->set());
    }

    private function set(): Book
    {
        $style = $this->document->style;
        // What comes before the text takes as many pages whatever the numbers in it are.
        $front = \count($this->front([])->pages) - ($this->sharesPage() ? 1 : 0);
        $text = $this->sharesPage() ? $this->front([], false) : new Flow($style, $this->document->properties->pageSize);
        $index = [];
        foreach ($this->document->elements as $i => $element) {
            if ($element->role === Role::Heading && $element->topic === Index::TOPIC) {
                // What the index leads to is all in its place.
                $text->newPage(true);
                $index = self::placed($text, $front);
            }
            foreach ($this->blocks->of($element, $index) as $k => $group) {
                if ($k === 0 && $group->lines !== []) {
                    $group->lines[0]->anchors[] = self::BEGINS . $i;
                }
                $text->add($group);
            }
        }
        $text->end();
        $places = self::placed($text, $front);
        $pages = $this->sharesPage() ? $text->pages : [...$this->front($places)->pages, ...$text->pages];
        $this->running($pages);
        [$width, $height] = $style->page($this->document->properties->pageSize);

        return new Book($width, $height, $pages, $places, $this->structure);
    }

    /** @return array<string, int> place → the page that it is on */
    private static function placed(Flow $text, int $front): array
    {
        $places = [];
        foreach ($text->pages as $i => $page) {
            $places += array_fill_keys(array_map(strval(...), array_keys($page->anchors)), $front + $i + 1);
        }

        return $places;
    }

    /**
     * Which elements begin a page, for books that name the pages of the print.
     *
     * @return array<int, int> element → the number of the page, for the first that can begin one on each page
     */
    public static function begins(Document $document, Book $book): array
    {
        $begins = $seen = [];
        foreach ($document->elements as $i => $element) {
            $page = $book->places[self::BEGINS . $i] ?? null;
            $isOpen = $element->role === Role::Heading || ($element->role === Role::Body && $element->level === 0);
            if ($page !== null && $isOpen && !isset($seen[$page])) {
                $seen[$page] = true;
                $begins[$i] = $page;
            }
        }

        return $begins;
    }

    /** Whether the text begins right below the title. */
    private function sharesPage(): bool
    {
        return !$this->document->style->hasTitlePage && !$this->document->hasLists();
    }

    /**
     * Title, contents and figures.
     *
     * @param array<string, int> $places where headings and figures are, as far as it is known
     */
    private function front(array $places, bool $ends = true): Flow
    {
        $style = $this->document->style;
        $flow = new Flow($style, $this->document->properties->pageSize);
        $align = $style->isTitleCentred ? 'center' : 'left';
        $title = new Setting(Style::family($style->headingFont), max(16.0, $style->headingSizes[0] * 1.4), 1.05, true, align: $align);
        if ($style->hasTitlePage) {
            $flow->add(new Group([Line::space($style->page($this->document->properties->pageSize)[1] * 0.26)]));
        }
        $lines = $this->paragraphs->text($this->document->title, $title, $this->width);
        $flow->add(new Group(Structure::tag($lines, $this->structure->add('Title', $this->front)), 10.0, 6.0));
        foreach ($style->titleFields as $field) {
            $says = $this->document->field($field);
            $setting = new Setting(
                Style::family($style->font),
                $field === 'subtitle' ? $style->subtitleSize() : $style->size,
                1.05,
                align: $align,
                colour: $field === 'subtitle' ? Style::SOFT : Style::INK,
            );
            if ($says !== '') {
                $lines = $this->paragraphs->text($says, $setting, $this->width);
                $flow->add(new Group(Structure::tag($lines, $this->structure->add('P', $this->front)), 0.0, 7.0));
            }
        }
        if ($this->sharesPage() && !$ends) {
            $flow->add(new Group([Line::space(12.0)]));

            return $flow;
        }
        $style->hasTitlePage && $this->document->hasLists() ? $flow->newPage() : null;
        $headings = array_map(
            static fn(array $entry): array => [
                trim("{$entry['element']->number} {$entry['element']->title}"),
                $entry['element']->level,
                (new Anchor($entry['element']->topic))->name(),
            ],
            $this->document->contents,
        );
        $this->listing($flow, $this->document->contentsTitle(), $headings, $places);
        $captions = array_map(
            static fn(array $entry, int $i): array => [$entry['text'], 1, '_f' . ($i + 1)],
            $this->document->figures,
            array_keys($this->document->figures),
        );
        $this->listing($flow, $this->document->figuresTitle(), $captions, $places);
        $flow->end();

        return $flow;
    }

    /**
     * @param list<array{string, int, string}> $entries text, level, place
     * @param array<string, int>               $places
     */
    private function listing(Flow $flow, string $title, array $entries, array $places): void
    {
        if ($entries === []) {
            return;
        }
        $style = $this->document->style;
        $head = new Setting(Style::family($style->headingFont), $style->headingSizes[1], 1.08, true);
        $lines = $this->paragraphs->text($title, $head, $this->width);
        $flow->add(new Group(Structure::tag($lines, $this->structure->add('P', $this->front)), 22.0, 6.0, keepsNext: true));
        $list = $this->structure->add('TOC', $this->front);
        foreach ($entries as [$text, $level, $place]) {
            $lines = $this->entry($text, $level, $place, $places[$place] ?? 0);
            $flow->add(new Group(Structure::tag($lines, $this->structure->add('TOCI', $list)), 0.0, 2.0));
        }
    }

    /** @return list<Line> */
    private function entry(string $text, int $level, string $place, int $page): array
    {
        $setting = new Setting(
            Style::family($this->document->style->font),
            $this->document->style->size,
            1.12,
            indent: ($level - 1) * 14.0,
            link: "#{$place}",
        );
        $lines = $this->paragraphs->text($text, $setting, $this->width - 34.0);
        foreach ($lines as $line) {
            $line->mirror = $line->mirror === null ? null : $this->width;
        }
        $last = $lines[\count($lines) - 1];
        $number = $page > 0 ? (string) $page : '';
        $wide = $this->faces->width($number, $setting->face(), $setting->size);
        $end
            = $last->pieces === []
                ? $setting->indent
                : $last->pieces[\count($last->pieces) - 1]->x + $last->pieces[\count($last->pieces) - 1]->width;
        $dot = $this->faces->width('.', $setting->face(), $setting->size) * 1.8;
        for ($x = floor(($this->width - $wide - 6.0) / $dot) * $dot; $x > $end + 4.0; $x -= $dot) {
            $last->pieces[] = new Piece(Piece::BOX, $x, $last->ascent - 0.9, 0.8, 0.8, colour: Style::RULE);
        }
        $last->pieces[] = new Piece(
            Piece::TEXT,
            $this->width - $wide,
            $last->ascent,
            $wide,
            0.0,
            $number,
            $setting->face(),
            $setting->size,
            $setting->colour,
            $setting->link,
        );

        return $lines;
    }

    /** @param list<Page> $pages */
    private function running(array $pages): void
    {
        $style = $this->document->style;
        [, $height] = $style->page($this->document->properties->pageSize);
        [$top, , $bottom] = $style->edges();
        $section = '';
        foreach ($pages as $i => $page) {
            $own = null;
            foreach ($page->headings as [$title, $level]) {
                $own ??= $level === 1 ? $title : null;
                $section = $level === 1 ? $title : $section;
            }
            if ($style->hasTitlePage && $i === 0) {
                continue;
            }
            $facts = ['page' => (string) ($i + 1), 'pages' => (string) \count($pages), 'section' => $own ?? $section];
            $this->thirds($page, $style->header, $top / 2 + 2.0, $facts);
            $this->thirds($page, $style->footer, $height - $bottom / 2 + 2.0, $facts);
        }
    }

    /**
     * @param list<string>          $thirds
     * @param array<string, string> $facts
     */
    private function thirds(Page $page, array $thirds, float $y, array $facts): void
    {
        $setting = new Setting(Style::family($this->document->style->font), $this->document->style->footSize(), colour: Style::SOFT);
        $left = $this->document->style->edges()[3];
        foreach ($thirds as $third => $running) {
            $pieces = [];
            $x = 0.0;
            foreach (Style::pieces($running) as [$piece, $isField]) {
                if ($isField && $piece === 'logo') {
                    $logo = $this->logo($x, $y);
                    $logo === null ? null : ($pieces[] = $logo);
                    $x += $logo->width ?? 0.0;
                    continue;
                }
                $text = $isField ? $facts[$piece] ?? $this->document->field($piece) : $piece;
                if (!$this->faces->holds($text, $setting->face())) {
                    [$others, $wide] = $this->shaped($text, $setting, $x, $y);
                    array_push($pieces, ...$others);
                    $x += $wide;
                    continue;
                }
                $wide = $this->faces->width($text, $setting->face(), $setting->size);
                $pieces[] = new Piece(Piece::TEXT, $x, $y, $wide, 0.0, $text, $setting->face(), $setting->size, $setting->colour);
                $x += $wide;
            }
            $start = $left + [0.0, ($this->width - $x) / 2, $this->width - $x][$third];
            foreach ($pieces as $piece) {
                $page->add($piece->moved($start, 0.0));
            }
        }
    }

    /** @return array{list<Piece>, float} a line of a text that the face does not hold, and how wide it is with the spaces around it */
    private function shaped(string $text, Setting $setting, float $x, float $y): array
    {
        $line = $this->paragraphs->text(trim($text), $setting, INF)[0];
        $wide = array_sum(array_map(static fn(Piece $piece): float => $piece->width, $line->pieces));
        $line->mirror = $line->mirror === null ? null : $wide;
        $one = $this->faces->width(' ', $setting->face(), $setting->size);
        $space = static fn(string $trimmed): float => (\strlen($text) - \strlen($trimmed)) * $one;
        $before = $space(ltrim($text));

        return [$line->placed($x + $before, $y - $line->ascent), $before + $wide + $space(rtrim($text))];
    }

    private function logo(float $x, float $y): ?Piece
    {
        $id = $this->document->style->logo;
        $bytes = $id === null ? null : $this->pictures?->bytes($id);
        $size = $bytes === null ? false : @getimagesizefromstring($bytes);

        return $id === null || $size === false || $size[1] === 0
            ? null
            : new Piece(Piece::PICTURE, $x, $y - self::LOGO * 0.7, (self::LOGO * $size[0]) / $size[1], self::LOGO, $id);
    }

    /** @return list<string> what pages cannot show as they should, a sentence each */
    public static function lacking(Document $document): array
    {
        $shipped = ['Literata', 'Atkinson Hyperlegible Next', 'Atkinson Hyperlegible Mono'];
        $names = ['serif' => $shipped[0], 'sans' => $shipped[1], 'mono' => $shipped[2]];
        $others = [];
        foreach (array_unique([$document->style->font, $document->style->headingFont]) as $font) {
            \in_array($font, $shipped, true)
                ? null
                : ($others[] = "{$font} is not shipped with Embrel: these pages are set in {$names[Style::family(
                    $font,
                )]} instead. A word processor uses the font itself.");
        }

        return $others;
    }
}
