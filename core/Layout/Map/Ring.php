<?php

declare(strict_types=1);

namespace Embrel\Layout\Map;

/**
 * Places fans around the title, clockwise from the top: each gets the angle that it takes up as
 * seen from the middle, and all stand as near to the middle as those angles allow.
 */
final readonly class Ring
{
    private const MARGIN = 9.0;
    private const SLICES = 24;

    /**
     * @param array<int, Standing>                    $standings
     * @param list<array{float, float, float, float}> $spokes    from the title to each main section
     */
    private function __construct(public array $standings, public array $spokes) {}

    /**
     * @param list<float>         $x     of florets within their section
     * @param list<float>         $y
     * @param array{float, float} $title
     */
    public static function of(Boxes $boxes, Fan $fan, array $x, array $y, array $title): self
    {
        $outlines = [];
        foreach ($fan->trees as [$from, $to]) {
            $outlines[] = self::outline($boxes, $fan, $x, $y, $from, $to);
        }
        $core = hypot($title[0], $title[1]) / 2 + 12.0;
        $distance = self::distance(array_merge(...$outlines), $core + Spacing::DISC + 16.0);
        $widths = array_map(static fn(array $outline): array => [self::width($outline[0], $distance), self::width($outline[1], $distance)], $outlines);
        $slack = (2 * M_PI - array_sum(array_map(array_sum(...), $widths))) / max(1, \count($widths));
        $standings = $spokes = [];
        $at = \count($widths) === 1 ? -$slack / 2 - $widths[0][0] : -M_PI / 2;
        foreach ($widths as $s => [$before, $after]) {
            $turn = $at + $slack / 2 + $before;
            $standings[$fan->trees[$s][0]] = new Standing($distance * cos($turn), $distance * sin($turn), $turn);
            $spokes[] = [$core * cos($turn), $core * sin($turn), $distance * cos($turn), $distance * sin($turn)];
            $at += $before + $after + $slack;
        }

        return new self($standings, $spokes);
    }

    /**
     * How far a fan reaches to both sides of its axis, in slices along it; without those that one
     * nearer to the middle and wider hides, as they never decide the angle.
     *
     * @param list<float> $x
     * @param list<float> $y
     *
     * @return array{list<array{float, float}>, list<array{float, float}>} before and after the axis: where a slice begins, its reach
     */
    private static function outline(Boxes $boxes, Fan $fan, array $x, array $y, int $from, int $to): array
    {
        $far = 1.0;
        for ($i = $from; $i < $to; ++$i) {
            $far = max($far, $fan->radius[$i] + $boxes->widths[$i]);
        }
        // Nothing stands farther back than a disc and half a label.
        $near = -Spacing::DISC - $boxes->heights[$from] - self::MARGIN;
        $step = ($far - $near) / self::SLICES;
        $before = $after = [];
        for ($i = $from; $i < $to; ++$i) {
            [$cos, $sin, $half] = [cos($fan->angle[$i]), sin($fan->angle[$i]), $boxes->heights[$i] / 2 + self::MARGIN];
            [$asideX, $asideY] = [$half * $sin, $half * $cos];
            foreach ([$i === $from ? -Spacing::DISC : -Spacing::FLORET, $boxes->widths[$i] + self::MARGIN] as $along) {
                [$atX, $atY] = [$x[$i] + $along * $cos, $y[$i] + $along * $sin];
                $slice = (int) max(0.0, ($atX + $asideX - $near) / $step);
                $reach = -$atY + $asideY;
                if ($reach > ($before[$slice] ?? 0.0)) {
                    $before[$slice] = $reach;
                }
                $slice = (int) max(0.0, ($atX - $asideX - $near) / $step);
                $reach = $atY + $asideY;
                if ($reach > ($after[$slice] ?? 0.0)) {
                    $after[$slice] = $reach;
                }
            }
        }

        return [self::deciding($before, $near, $step), self::deciding($after, $near, $step)];
    }

    /**
     * @param array<int, float> $slices
     *
     * @return list<array{float, float}>
     */
    private static function deciding(array $slices, float $near, float $step): array
    {
        ksort($slices);
        $deciding = [];
        $widest = 0.0;
        foreach ($slices as $slice => $reach) {
            if ($reach > $widest) {
                $deciding[] = [$near + $slice * $step, $widest = $reach];
            }
        }

        return $deciding;
    }

    /**
     * @param list<array{float, float}> $slices
     *
     * @return float the angle that one side of a fan takes up, seen from the middle
     */
    private static function width(array $slices, float $distance): float
    {
        $width = 0.0;
        foreach ($slices as [$along, $reach]) {
            $angle = atan2($reach, $along + $distance);
            if ($angle > $width) {
                $width = $angle;
            }
        }

        return $width;
    }

    /**
     * @param list<list<array{float, float}>> $sides of all fans
     *
     * @return float a distance at which all fit around the middle, at most a hundredth more than the least
     */
    private static function distance(array $sides, float $least): float
    {
        if (self::fit($sides, $least)) {
            return $least;
        }
        [$low, $high] = [$least, $least * 2];
        while (!self::fit($sides, $high)) {
            [$low, $high] = [$high, $high * 2];
        }
        while ($high - $low > max(4.0, $high * 0.01)) {
            $middle = ($low + $high) / 2;
            self::fit($sides, $middle) ? $high = $middle : $low = $middle;
        }

        return $high;
    }

    /** @param list<list<array{float, float}>> $sides */
    private static function fit(array $sides, float $distance): bool
    {
        $sum = 0.0;
        foreach ($sides as $slices) {
            $sum += self::width($slices, $distance);
            if ($sum > 2 * M_PI) {
                return false;
            }
        }

        return true;
    }
}
