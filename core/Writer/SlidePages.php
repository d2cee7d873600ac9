<?php

declare(strict_types=1);

namespace Embrel\Writer;

use Embrel\Document\Pictures;
use Embrel\Document\Style;
use Embrel\Draft\Choices;
use Embrel\Fonts\Typefaces;
use Embrel\Layout\Text\Wrapping;
use Embrel\Pages\Book;
use Embrel\Pages\Line;
use Embrel\Pages\Page;
use Embrel\Pages\Paragraphs;
use Embrel\Pages\Piece;
use Embrel\Pages\Setting;
use Embrel\Pages\Structure;
use Embrel\Plan\Plan;

/** Slides set as pages: one each; or several on a sheet, with lines for notes beside them. Lengths are points. */
final class SlidePages
{
    /** Of a sheet of handouts, and of the lines for notes. */
    private const EDGE = 42.0;
    private const RULED = 22.0;

    private readonly Paragraphs $paragraphs;
    private readonly SlideLook $look;
    /** @var array<string, float> picture → its height against its width */
    private array $aspects = [];
    private readonly Structure $structure;
    /** How many sections found no room, and how many pictures are not at hand. */
    public int $leftOut = 0;
    public int $gone = 0;

    public function __construct(private readonly Plan $plan, private readonly Choices $choices, Typefaces $faces)
    {
        $this->paragraphs = new Paragraphs($faces);
        $this->structure = new Structure();
        $this->look = SlideLook::of($choices->draft->style());
    }

    /** @return array{self, Book} as often as it takes until all scripts are shaped */
    public static function settled(Plan $plan, Choices $choices, Typefaces $faces, bool $isHandout): array
    {
        return $faces->shaping->settled(static function () use ($plan, $choices, $faces, $isHandout): array {
            $slides = new self($plan, $choices, $faces);

            return [$slides, $isHandout ? $slides->handouts() : $slides->slides()];
        });
    }

    public function slides(): Book
    {
        $pages = [];
        foreach ($this->all() as [$slide, $pieces]) {
            $page = new Page();
            array_map($page->add(...), $pieces);
            if ($slide->step->part === 0 && \count($slide->lines) === ($this->choices->show->eachStep ? 0 : \count($slide->lines))) {
                $page->headings[] = [trim("{$slide->step->number} {$slide->title()}"), max(1, $slide->step->level), 0.0];
            }
            $page->pack();
            $pages[] = $page;
        }

        return new Book(Slide::WIDTH, Slide::HEIGHT, $pages, [], $this->structure);
    }

    /** On paper as the plan has it: two or four beside lines, or six in two columns above lines of their own. */
    public function handouts(): Book
    {
        [$width, $height] = $this->choices->draft->style()->page($this->plan->properties->pageSize);
        $many = $this->choices->show->sheet;
        $columns = $many === 6 ? 2 : 1;
        $rows = intdiv($many, $columns);
        $cell = [($width - (1 + $columns) * self::EDGE) / $columns, ($height - 2 * self::EDGE - 20.0) / $rows];
        $pages = [];
        $at = 0;
        foreach ($this->all() as [, $pieces]) {
            if ($at % $many === 0) {
                $pages[] = new Page();
                $this->foot($pages[\count($pages) - 1], $width, $height, \count($pages));
            }
            $place = $at++ % $many;
            $left = self::EDGE + ($place % $columns) * ($cell[0] + self::EDGE);
            $top = self::EDGE + intdiv($place, $columns) * $cell[1];
            $this->handout($pages[\count($pages) - 1], $pieces, [$left, $top, ...$cell], $columns === 2);
        }

        return new Book($width, $height, $pages, [], $this->structure);
    }

    /**
     * @param list<Piece>                       $pieces
     * @param array{float, float, float, float} $cell   left, top, width, height
     */
    private function handout(Page $page, array $pieces, array $cell, bool $isAbove): void
    {
        [$left, $top, $width, $height] = $cell;
        $scale = $isAbove
            ? min($width / Slide::WIDTH, ($height - 3 * self::RULED) / Slide::HEIGHT)
            : min(0.56 * $width / Slide::WIDTH, ($height - 16.0) / Slide::HEIGHT);
        [$wide, $high] = [Slide::WIDTH * $scale, Slide::HEIGHT * $scale];
        foreach ($pieces as $piece) {
            $page->add($piece->scaled($scale, $left, $top));
        }
        foreach ([$top, $top + $high] as $y) {
            $page->add(new Piece(Piece::BOX, $left, $y, $wide, 0.5, colour: Style::RULE));
        }
        foreach ([$left, $left + $wide] as $x) {
            $page->add(new Piece(Piece::BOX, $x, $top, 0.5, $high, colour: Style::RULE));
        }
        $from = $isAbove ? $left : $left + $wide + 16.0;
        $to = $left + $width;
        $end = $isAbove ? $top + $height - 10.0 : $top + $high;
        for ($y = $isAbove ? $top + $high + self::RULED : $top + self::RULED; $y < $end; $y += self::RULED) {
            $page->add(new Piece(Piece::BOX, $from, $y, $to - $from, 0.5, colour: Style::RULE));
        }
    }

    private function foot(Page $page, float $width, float $height, int $number): void
    {
        $setting = new Setting('sans', 8.5, colour: Style::SOFT);
        $title = mb_strimwidth($this->plan->title(), 0, 90, '…');
        $this->put($page, $this->paragraphs->text($title, $setting, $width - 2 * self::EDGE - 60.0), self::EDGE, $height - self::EDGE);
        $number = $this->paragraphs->text((string) $number, $setting->with(['align' => 'right']), 60.0);
        $this->put($page, $number, $width - self::EDGE - 60.0, $height - self::EDGE);
    }

    /** @param list<Line> $lines */
    private function put(Page $page, array $lines, float $x, float $y): void
    {
        foreach (self::placed($lines, $x, $y)[0] as $piece) {
            $page->add($piece);
        }
    }

    /**
     * @param list<Line> $lines
     *
     * @return array{list<Piece>, float} and where they end
     */
    private static function placed(array $lines, float $x, float $y): array
    {
        $pieces = [];
        foreach ($lines as $line) {
            foreach ($line->placed($x, $y) as $piece) {
                $pieces[] = $piece;
            }
            $y += $line->height;
        }

        return [$pieces, $y];
    }

    /** @return \Generator<int, array{Slide, list<Piece>}> */
    private function all(): \Generator
    {
        $slides = Slide::all($this->plan, $this->choices);
        foreach ($slides as $slide) {
            $tag = $this->structure->add('Sect');
            yield [$slide, [...$this->head($slide, $tag), ...$this->body($slide, $tag), ...$this->shots($slide, $tag)]];
        }
        $this->leftOut = $slides->getReturn();
    }

    /** @return list<Piece> number, title, and what stands under the title of the opening */
    private function head(Slide $slide, int $parent): array
    {
        $tag = $this->structure->add('H' . min(6, max(1, $slide->step->level)), $parent);
        [$left, $top, $width] = $slide->titleBox();
        $align = $this->look->isCentred ? 'center' : 'left';
        $dye = $this->look->dye($slide->step->dye);
        $pieces = $this->look->isDyed && $slide->step->number !== ''
            ? [new Piece(Piece::BOX, 40.0, 40.0, 4.0, Slide::HEIGHT - 80.0, colour: $dye)]
            : [];
        if ($slide->step->number !== '') {
            $setting = new Setting('sans', Slide::NUMBER, 1.0, true, align: $align, colour: $dye);
            $number = $this->paragraphs->text($slide->step->number, $setting, $width);
            array_push($pieces, ...self::placed(Structure::tag($number, $tag), $left, $slide->numberBox()[1])[0]);
        }
        $setting = new Setting(
            Style::family($this->look->titleFont),
            $slide->titleSize(),
            0.98,
            true,
            align: self::aligned($slide->title(), $align),
        );
        $title = Structure::tag($this->paragraphs->text($slide->title(), $setting, $width), $tag);
        [$title, $y] = self::placed($title, $left, $top);
        array_push($pieces, ...$title);
        $setting = new Setting(Style::family($this->look->font), Slide::UNDER, align: $align, colour: Style::SOFT);
        $y += 8.0;
        foreach ($slide->step->under === '' ? [] : explode("\n", $slide->step->under) as $under) {
            $lines = Structure::tag($this->paragraphs->text($under, $setting, $width), $this->structure->add('P', $parent));
            [$set, $y] = self::placed($lines, $left, $y);
            array_push($pieces, ...$set);
        }

        return $pieces;
    }

    /** @return list<Piece> */
    private function body(Slide $slide, int $parent): array
    {
        [$left, $y, $width, $height] = $slide->bodyBox();
        $y += $slide->step->under === '' ? 0.0 : Slide::UNDER * 1.5 * (substr_count($slide->step->under, "\n") + 1);
        $bottom = $y + $height;
        $scale = 1.0;
        // Where the rows were counted too low, the type becomes smaller until they find room.
        do {
            [$pieces, $end] = $this->lines($slide, $left, $y, $width, $scale, $parent);
            $scale *= 0.9;
        } while ($end > $bottom && $scale > 0.3);

        return $pieces;
    }

    /** @return array{list<Piece>, float} */
    private function lines(Slide $slide, float $left, float $y, float $width, float $scale, int $parent): array
    {
        $pieces = [];
        $family = Style::family($this->look->font);
        $size = $slide->textSize() * $scale;
        foreach ($slide->lines as $line) {
            $y += Slide::GAP * $slide->step->scale * $scale;
            $tag = $this->structure->add($line->isQuote ? 'BlockQuote' : 'P', $parent);
            $at = $left + ($line->level - 1) * Slide::INDENT;
            $hang = $slide->hang() * $scale;
            $setting = new Setting($family, $size, 1.05, italic: $line->isQuote, align: self::aligned($line->text, 'left'));
            if (!$line->isQuote) {
                $number = $line->number === '' ? '–' : $line->number;
                $set = $this->paragraphs->text($number, $setting->with(['colour' => Style::SOFT]), $width);
                array_push($pieces, ...self::placed(Structure::tag($set, $tag), $at, $y)[0]);
            }
            $room = max(60.0, $width - ($at - $left) - $hang);
            foreach (explode("\n", $line->text) as $row) {
                [$set, $y] = self::placed(Structure::tag($this->paragraphs->text($row, $setting, $room), $tag), $at + $hang, $y);
                array_push($pieces, ...$set);
            }
            if ($line->source !== '') {
                $small = new Setting('sans', $size * Slide::SOURCE, colour: Style::SOFT);
                $source = Structure::tag($this->paragraphs->text($line->source, $small, $room), $tag);
                [$set, $y] = self::placed($source, $at + $hang, $y + 2.0);
                array_push($pieces, ...$set);
            }
        }

        return [$pieces, $y];
    }

    private static function aligned(string $text, string $usual): string
    {
        return Wrapping::isRightToLeft($text) ? 'right' : $usual;
    }

    /** @return list<Piece> */
    private function shots(Slide $slide, int $parent): array
    {
        $pieces = [];
        foreach ($slide->shots() as $i => $shot) {
            $bytes = $this->choices->pictures?->bytes($shot->picture);
            $this->gone += $bytes === null ? 1 : 0;
            if ($bytes !== null && !isset($this->aspects[$shot->picture])) {
                $size = @getimagesizefromstring($bytes);
                $this->aspects[$shot->picture] = $size === false || $size[0] === 0 ? 1.0 : $size[1] / $size[0];
            }
            [$x, $y, $width, $height] = $slide->shotBox($i, $bytes === null ? 0.2 : $this->aspects[$shot->picture]);
            if ($bytes !== null) {
                $tag = $this->structure->add('Figure', $parent, $shot->says === '' ? 'Picture' : $shot->says);
                $pieces[] = new Piece(Piece::PICTURE, $x, $y, $width, $height, $shot->picture, says: $shot->says, tag: $tag);
            }
            $caption = $bytes === null ? "Not there any more: {$shot->says}" : $shot->caption;
            $setting = new Setting('sans', Slide::CAPTION, colour: Style::SOFT);
            if ($caption !== '') {
                $set = Structure::tag(
                    $this->paragraphs->text($caption, $setting, max(120.0, $width)),
                    $this->structure->add('Caption', $parent),
                );
                array_push($pieces, ...self::placed($set, $x, $y + ($bytes === null ? 0.0 : $height + 6.0))[0]);
            }
        }

        return $pieces;
    }
}
