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
        $distance = self::distance($outlines, $core + Spacing::DISC + 16.0);
        $widths = array_map(static fn(array $outline): array => self::widths($outline, $distance), $outlines);
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
     * How far a fan reaches to both sides of its axis, in slices along it.
     *
     * @param list<float> $x
     * @param list<float> $y
     *
     * @return list<array{float, float, float}> where a slice begins, its reach before the axis, after it
     */
    private static function outline(Boxes $boxes, Fan $fan, array $x, array $y, int $from, int $to): array
    {
        $corners = [];
        for ($i = $from; $i < $to; ++$i) {
            [$cos, $sin, $half] = [cos($fan->angle[$i]), sin($fan->angle[$i]), $boxes->heights[$i] / 2 + self::MARGIN];
            foreach ([$i === $from ? -Spacing::DISC : -Spacing::FLORET, $boxes->widths[$i] + self::MARGIN] as $along) {
                $corners[] = [$x[$i] + $along * $cos - $half * $sin, $y[$i] + $along * $sin + $half * $cos];
                $corners[] = [$x[$i] + $along * $cos + $half * $sin, $y[$i] + $along * $sin - $half * $cos];
            }
        }
        [$near, $far] = [INF, -INF];
        foreach ($corners as [$along]) {
            $near = min($near, $along);
            $far = max($far, $along);
        }
        $step = max(1.0, ($far - $near) / self::SLICES);
        $slices = [];
        foreach ($corners as [$along, $aside]) {
            $slice = (int) (($along - $near) / $step);
            $slices[$slice] ??= [$near + $slice * $step, 0.0, 0.0];
            $slices[$slice][1] = max($slices[$slice][1], -$aside);
            $slices[$slice][2] = max($slices[$slice][2], $aside);
        }

        return array_values($slices);
    }

    /**
     * @param list<array{float, float, float}> $outline
     *
     * @return array{float, float} the angles that a fan takes up before and after its axis, seen from the middle
     */
    private static function widths(array $outline, float $distance): array
    {
        $before = $after = 0.0;
        foreach ($outline as [$along, $above, $below]) {
            $before = max($before, atan2($above, $along + $distance));
            $after = max($after, atan2($below, $along + $distance));
        }

        return [$before, $after];
    }

    /**
     * @param list<list<array{float, float, float}>> $outlines
     *
     * @return float the least distance at which all fit around the middle, found by halving
     */
    private static function distance(array $outlines, float $least): float
    {
        $fits = static fn(float $distance): bool => array_sum(array_map(static fn(array $outline): float => array_sum(self::widths($outline, $distance)), $outlines)) <= 2 * M_PI;
        if ($fits($least)) {
            return $least;
        }
        [$low, $high] = [$least, $least * 2];
        while (!$fits($high)) {
            [$low, $high] = [$high, $high * 2];
        }
        while ($high - $low > 4.0) {
            $middle = ($low + $high) / 2;
            $fits($middle) ? $high = $middle : $low = $middle;
        }

        return $high;
    }
}
