<?php

declare(strict_types=1);

namespace Embrel\Layout\Map;

use Embrel\Plan\Relation;

/** Where a relation runs on the map, and where its label stands on it. */
final readonly class Track
{
    /**
     * @param array{array{float, float}, array{float, float}, array{float, float}, array{float, float}} $curve from, two that bend it, to
     * @param array{float, float} $middle of the curve, by which it is bent
     * @param array{float, float} $label  the middle of the label
     * @param array{float, float} $room   how wide and high the label is; 0 without one
     */
    public function __construct(
        public Relation $relation,
        public array $curve,
        public array $middle,
        public array $label,
        public array $room,
    ) {}

    public function path(): string
    {
        [$a, $b, $c, $d] = array_map(static fn(array $point): string => round($point[0], 1) . ' ' . round($point[1], 1), $this->curve);

        return "M{$a}C{$b} {$c} {$d}";
    }

    /** @return list<string> the arrows at its ends, as paths */
    public function heads(): array
    {
        [$a, $b, $c, $d] = $this->curve;

        return match ($this->relation->arrows->value) {
            'none' => [],
            'start' => [self::head($b, $a)],
            'end' => [self::head($c, $d)],
            default => [self::head($b, $a), self::head($c, $d)],
        };
    }

    /**
     * @param array{float, float} $from
     * @param array{float, float} $tip
     */
    private static function head(array $from, array $tip): string
    {
        $length = hypot($tip[0] - $from[0], $tip[1] - $from[1]) ?: 1.0;
        [$x, $y] = [($tip[0] - $from[0]) / $length, ($tip[1] - $from[1]) / $length];
        $point = static fn(float $back, float $aside): string => round($tip[0] - $back * $x - $aside * $y, 1)
            . ' '
            . round($tip[1] - $back * $y + $aside * $x, 1);

        return 'M' . $point(9.0, 4.0) . 'L' . $point(0.0, 0.0) . 'L' . $point(9.0, -4.0);
    }

    /**
     * @param array{array{float, float}, array{float, float}, array{float, float}, array{float, float}} $curve
     *
     * @return array{float, float} a point of a curve, from 0 to 1 along it
     */
    public static function along(float $t, array $curve): array
    {
        [$a, $b, $c, $d] = $curve;
        $s = 1 - $t;
        [$i, $j, $k, $l] = [$s * $s * $s, 3 * $s * $s * $t, 3 * $s * $t * $t, $t * $t * $t];

        return [$i * $a[0] + $j * $b[0] + $k * $c[0] + $l * $d[0], $i * $a[1] + $j * $b[1] + $k * $c[1] + $l * $d[1]];
    }
}
