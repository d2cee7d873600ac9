<?php

declare(strict_types=1);

namespace Embrel\Pages;

/** A row of a table: the lines of each cell, and where the cells stand. Lengths are points. */
final readonly class Row
{
    public const PADDING = 4.0;

    /**
     * @param list<list<Line>> $cells
     * @param list<float>      $edges left edge of each cell, and the right edge of the last
     */
    public function __construct(public array $cells, public array $edges, public bool $isHead) {}

    public function height(): float
    {
        $height = 0.0;
        foreach ($this->cells as $lines) {
            $height = max($height, array_sum(array_map(static fn(Line $line): float => $line->height, $lines)));
        }

        return $height + 2 * self::PADDING;
    }

    /**
     * What fits into a height, and what is left; null where everything fits.
     *
     * @return array{self, self}|null
     */
    public function divided(float $room): ?array
    {
        if ($this->height() <= $room) {
            return null;
        }
        $head = $rest = [];
        foreach ($this->cells as $lines) {
            $taken = 2 * self::PADDING;
            $at = 0;
            while (isset($lines[$at]) && ($taken + $lines[$at]->height <= $room || ($at === 0 && $room > 300.0))) {
                $taken += $lines[$at++]->height;
            }
            $head[] = \array_slice($lines, 0, $at);
            $rest[] = \array_slice($lines, $at);
        }

        return [new self($head, $this->edges, $this->isHead), new self($rest, $this->edges, $this->isHead)];
    }
}
