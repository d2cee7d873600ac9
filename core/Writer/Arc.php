<?php

declare(strict_types=1);

namespace Embrel\Writer;

/** An arc of a circle as a path of SVG names it, by its middle (SVG 1.1, appendix F.6). */
final readonly class Arc
{
    private function __construct(
        public float $x,
        public float $y,
        public float $radius,
        public float $from,
        public float $sweep,
        public float $endX,
        public float $endY,
    ) {}

    /** @param array<int, float> $n radius twice, turn, whether the larger arc, whether clockwise, end */
    public static function of(float $x1, float $y1, array $n): self
    {
        [$radius, , , $isLarge, $isClockwise, $x2, $y2] = $n + array_fill(0, 7, 0.0);
        [$halfX, $halfY] = [($x2 - $x1) / 2, ($y2 - $y1) / 2];
        $half = hypot($halfX, $halfY);
        $radius = max($radius, $half);
        $off = $half > 0.0 ? sqrt(max(0.0, $radius * $radius - $half * $half)) / $half : 0.0;
        $side = $isLarge > 0.5 === $isClockwise > 0.5 ? 1.0 : -1.0;
        [$cx, $cy] = [($x1 + $x2) / 2 + $side * $off * $halfY, ($y1 + $y2) / 2 - $side * $off * $halfX];
        $from = atan2($y1 - $cy, $x1 - $cx);
        $sweep = atan2($y2 - $cy, $x2 - $cx) - $from;
        $sweep += $isClockwise > 0.5 && $sweep < 0 ? 2 * M_PI : ($isClockwise <= 0.5 && $sweep > 0 ? -2 * M_PI : 0.0);

        return new self($cx, $cy, $radius, $from, $sweep, $x2, $y2);
    }
}
