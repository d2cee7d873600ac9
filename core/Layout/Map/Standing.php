<?php

declare(strict_types=1);

namespace Embrel\Layout\Map;

/** Where a main section stands with everything under it: it is moved or mirrored as a whole. */
final readonly class Standing
{
    /** @param bool $isMirrored grows to the left instead of to the right */
    public function __construct(public float $x, public float $y, public bool $isMirrored = false) {}

    /** @return array{float, float} where a point of the section is on the map */
    public function point(float $x, float $y): array
    {
        return [$this->x + $this->out() * $x, $this->y + $y];
    }

    /** @return float 1 where it grows to the right, -1 where to the left */
    public function out(): float
    {
        return $this->isMirrored ? -1.0 : 1.0;
    }
}
