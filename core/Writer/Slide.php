<?php

declare(strict_types=1);

namespace Embrel\Writer;

use Embrel\Draft\Choices;
use Embrel\Plan\Plan;
use Embrel\Show\Fitting;
use Embrel\Show\Line;
use Embrel\Show\Shot;
use Embrel\Show\Show;
use Embrel\Show\Step;

/** A slide, and where on it everything stands: in points, from its upper left corner. */
final readonly class Slide
{
    public const WIDTH = 960.0;
    public const HEIGHT = 540.0;
    public const LEFT = 84.0;
    public const NUMBER = 16.0;
    /** Of the three sizes that titles have, by their length. */
    public const TITLES = [44.0, 30.0, 19.0];
    public const TEXT = 24.0;
    public const UNDER = 20.0;
    public const CAPTION = 12.0;
    /** How far a line stands from the one before, and how far a part of a part is set in. */
    public const GAP = 8.0;
    public const INDENT = 22.0;
    /** Against the size of the text. */
    public const SOURCE = 0.66;
    private const RIGHT = 60.0;
    private const TOP = 46.0;
    private const BOTTOM = 36.0;
    /** Signs in a row of a title of each size; as the show counts them. */
    private const SIGNS = [34, 52, 80];
    private const ROW = 1.2;

    /** @param list<Line> $lines that stand on it */
    private function __construct(public Step $step, public array $lines) {}

    /**
     * @return \Generator<int, self, mixed, int> one a section, or one for each line that appears; then how many sections found no room
     */
    public static function all(Plan $plan, Choices $choices): \Generator
    {
        $show = Show::of($plan, $choices);
        foreach ($show->steps as $step) {
            for ($count = $choices->show->eachStep ? 0 : \count($step->lines); $count <= \count($step->lines); ++$count) {
                yield new self($step, \array_slice($step->lines, 0, $count));
            }
        }

        return $show->leftOut;
    }

    /**
     * @param int $leftOut sections that found no room
     * @param int $gone    pictures that are not at hand
     *
     * @return list<string> what slides could not hold
     */
    public static function said(int $leftOut, int $gone): array
    {
        return array_values(array_filter([
            $leftOut === 0 ? '' : "The first slides only: {$leftOut} more sections found no room.",
            $gone === 0 ? '' : "Pictures ({$gone}) are not there any more; what they showed stands in their place.",
        ]));
    }

    public function isOpening(): bool
    {
        return $this->step->level === 0;
    }

    /** With which of several it is, where a section takes several. */
    public function title(): string
    {
        $title = $this->step->title === '' ? 'Untitled' : $this->step->title;

        return $this->step->part === 0 ? $title : "{$title} (" . ($this->step->part + 1) . ')';
    }

    public function titleSize(): float
    {
        return self::TITLES[Fitting::size($this->step->title)];
    }

    public function textSize(): float
    {
        return round(self::TEXT * $this->step->scale, 1);
    }

    /** @return array{float, float, float, float} left, top, width, height of the title */
    public function titleBox(): array
    {
        $rows = max(1.0, ceil(mb_strwidth($this->title()) / self::SIGNS[Fitting::size($this->step->title)]));
        $height = $rows * $this->titleSize() * self::ROW + 6.0;
        $under = $this->step->under === '' ? 0.0 : self::UNDER * 1.4 * (substr_count($this->step->under, "\n") + 1);
        $top = $this->isOpening()
            ? max(self::TOP, (self::HEIGHT - $height - $under) / 2.4)
            : self::TOP + ($this->step->number === '' ? 0.0 : self::NUMBER * 1.5);

        return [self::LEFT, $top, self::WIDTH - self::LEFT - self::RIGHT, $height];
    }

    /** @return array{float, float, float, float} of the number above the title */
    public function numberBox(): array
    {
        [$left, $top, $width] = $this->titleBox();

        return [$left, $top - self::NUMBER * 1.5, $width, self::NUMBER * 1.4];
    }

    /**
     * Where a caption stands.
     *
     * @param array{float, float, float, float} $shot of the picture
     *
     * @return array{float, float, float, float} under it, or in its place where it is gone
     */
    public static function under(array $shot, bool $isThere): array
    {
        return [$shot[0], $shot[1] + ($isThere ? $shot[3] + 6.0 : 0.0), $shot[2], 32.0];
    }

    /** @return array{float, float, float, float} of what stands under the title */
    public function bodyBox(): array
    {
        [$left, $top, $width, $height] = $this->titleBox();
        $from = $top + $height + ($this->isOpening() ? 6.0 : 16.0);

        return [
            $left,
            $from,
            $this->shots() !== [] && $this->lines !== [] ? $width * 0.52 : $width,
            max(40.0, self::HEIGHT - self::BOTTOM - $from),
        ];
    }

    /** @return list<Shot> that stand on it: two at the most */
    public function shots(): array
    {
        return \array_slice($this->step->shots, 0, 2);
    }

    /**
     * Where a picture stands, as large as it fits.
     *
     * @param float $aspect its height against its width
     *
     * @return array{float, float, float, float}
     */
    public function shotBox(int $at, float $aspect): array
    {
        [$left, $top, $width, $height] = $this->bodyBox();
        $whole = self::WIDTH - self::LEFT - self::RIGHT;
        $from = $this->lines === [] ? $left : $left + $width + 20.0;
        $room = ($this->lines === [] ? $whole : $whole - $width - 20.0) / \count($this->shots()) - 8.0;
        $height -= $this->step->shots[$at]->caption === '' ? 0.0 : self::CAPTION * 3.2;
        $wide = min($room, $height / max(0.001, $aspect));

        return [$from + $at * ($room + 16.0), $top + 4.0, $wide, $wide * $aspect];
    }

    /** How far the text of a line stands behind its number. */
    public function hang(): float
    {
        $longest = max([0, ...array_map(static fn(Line $line): int => mb_strlen($line->number), $this->lines)]);

        return $longest === 0 ? $this->textSize() * 0.9 : $this->textSize() * (0.4 + 0.6 * $longest);
    }
}
