<?php

declare(strict_types=1);

namespace Embrel\Plan;

/** Where a loose idea was put on the ground of the map, in pixels. Written as “120,-40”. */
final readonly class Spot
{
    private const FARTHEST = 100_000;

    private function __construct(public int $x, public int $y) {}

    /** @throws InvalidValue */
    public static function of(string $value): self
    {
        if (preg_match('/\A(-?\d{1,6}),(-?\d{1,6})\z/', $value, $m) !== 1 || max(abs((int) $m[1]), abs((int) $m[2])) > self::FARTHEST) {
            throw InvalidValue::field('spot', $value);
        }

        return new self((int) $m[1], (int) $m[2]);
    }

    public function value(): string
    {
        return "{$this->x},{$this->y}";
    }
}
