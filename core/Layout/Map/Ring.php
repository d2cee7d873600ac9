<?php

declare(strict_types=1);

namespace Embrel\Layout\Map;

/**
 * Places main sections around the title, clockwise from the top: down its right side and up its
 * left one, each with all that is under it in a band of its own height, so that every label is
 * level and no two meet. Their discs stand on an ellipse: so a line from the title to one of them
 * passes all that are nearer to the middle on its inner side.
 */
final readonly class Ring
{
    /** How much higher the ellipse is than the farthest disc, and how wide it is at least for its height. */
    private const HEADROOM = 1.1;
    private const ROUNDNESS = 0.3;
    /** Between the title and the discs beside it. */
    private const GAP = 40.0;

    /**
     * @param array<int, Standing>                    $standings
     * @param list<array{float, float, float, float}> $spokes    from the title to each main section
     */
    private function __construct(public array $standings, public array $spokes) {}

    /**
     * @param array<int, array{float, float}> $extents main section → how far its branch reaches up and down from it
     * @param int                             $right   how many of them stand on the right
     * @param array{float, float}             $title   how wide and high it is
     */
    public static function of(array $extents, int $right, Spacing $spacing, array $title): self
    {
        $y = [];
        foreach ([\array_slice($extents, 0, $right, true), array_reverse(\array_slice($extents, $right, null, true), true)] as $side) {
            $y += self::column($side, $spacing);
        }
        $high = max([$title[1] / 2 + 60.0, ...array_map(abs(...), array_values($y))]) * self::HEADROOM;
        $wide = max($title[0] / 2 + Spacing::DISC + self::GAP, 96.0, $high * self::ROUNDNESS);
        $core = hypot($title[0], $title[1]) / 2 + 12.0;
        $standings = $spokes = [];
        foreach (array_keys($extents) as $n => $i) {
            $isLeft = $n >= $right;
            $x = $wide * sqrt(1 - ($y[$i] / $high) ** 2);
            if (abs($y[$i]) < $title[1] / 2 + Spacing::DISC + 10.0) {
                $x = max($x, $title[0] / 2 + Spacing::DISC + self::GAP);
            }
            $standings[$i] = new Standing($isLeft ? -$x : $x, $y[$i], $isLeft);
            $from = min($core / hypot($x, $y[$i]), 0.8);
            $spokes[] = [$standings[$i]->x * $from, $y[$i] * $from, $standings[$i]->x, $y[$i]];
        }

        return new self($standings, $spokes);
    }

    /**
     * @param array<int, array{float, float}> $extents
     *
     * @return array<int, float> one below the other, the whole in the middle beside the title
     */
    private static function column(array $extents, Spacing $spacing): array
    {
        $height = array_sum(array_map(array_sum(...), $extents)) + max(0, \count($extents) - 1) * $spacing->sections;
        $from = -$height / 2;
        $at = [];
        foreach ($extents as $i => [$up, $down]) {
            $at[$i] = $from + $up;
            $from += $up + $down + $spacing->sections;
        }

        return $at;
    }
}
