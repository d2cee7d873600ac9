<?php

declare(strict_types=1);

namespace Embrel\Layout\Map;

/** Where a main section stands with everything under it: it is moved, mirrored or turned as a whole. */
final readonly class Standing
{
    /**
     * @param float $turn       radians, clockwise; 0 is to the right
     * @param bool  $isMirrored grows to the left instead of to the right
     */
    public function __construct(public float $x, public float $y, public float $turn = 0.0, public bool $isMirrored = false) {}

    /** @return array{float, float} where a point of the section is on the map */
    public function point(float $x, float $y): array
    {
        $x = $this->isMirrored ? -$x : $x;
        if ($this->turn === 0.0) {
            return [$this->x + $x, $this->y + $y];
        }
        [$cos, $sin] = [cos($this->turn), sin($this->turn)];

        return [$this->x + $x * $cos - $y * $sin, $this->y + $x * $sin + $y * $cos];
    }

    /** @return float the direction on the map of what has a direction in the section, in radians */
    public function direction(float $turn): float
    {
        return $this->isMirrored ? M_PI - $turn : $this->turn + $turn;
    }
}
