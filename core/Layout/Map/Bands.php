<?php

declare(strict_types=1);

namespace Embrel\Layout\Map;

/**
 * Lays branches out to the right, each in a band of its own height: below each other in reading
 * order, so that no two labels can meet and no stalk leaves the band of its topic. A topic stands
 * in the middle between its first and its last part. Two passes over flat lists: linear.
 */
final readonly class Bands
{
    /**
     * @param list<float>                     $x       of the floret, from that of its main section
     * @param list<float>                     $y
     * @param array<int, array{float, float}> $extents main section → how far its branch reaches up and down from it
     */
    private function __construct(public array $x, public array $y, public array $extents) {}

    public static function of(Boxes $boxes, Spacing $spacing): self
    {
        [$parents, $rows] = [$boxes->parents, $spacing->rows];
        // Of the parts visited so far, which come last first: where the latest stands (0 is where the
        // last of them stands), how far it reaches up, and the last of them down.
        $cursor = $above = $below = $extents = $offset = [];
        for ($i = \count($parents) - 1; $i >= 0; --$i) {
            $up = $down = $boxes->heights[$i] / 2;
            if (isset($cursor[$i])) {
                $half = $cursor[$i] / 2;
                $up = max($up, $above[$i] - $half);
                $down = max($down, $below[$i] - $half);
            }
            $parent = $parents[$i];
            if ($parent < 0) {
                $extents[$i] = [$up, $down];
                continue;
            }
            if (isset($cursor[$parent])) {
                $cursor[$parent] -= $above[$parent] + $rows + $down;
            } else {
                $cursor[$parent] = 0.0;
                $below[$parent] = $down;
            }
            $above[$parent] = $up;
            $offset[$i] = $cursor[$parent];
        }

        return self::placed($boxes, $spacing, $offset, $cursor, array_reverse($extents, true));
    }

    /**
     * @param array<int, float>               $offset  from the last part of the same topic
     * @param array<int, float>               $spans   topic → from its last to its first part, which is upwards
     * @param array<int, array{float, float}> $extents
     */
    private static function placed(Boxes $boxes, Spacing $spacing, array $offset, array $spans, array $extents): self
    {
        $x = $y = [];
        foreach ($boxes->parents as $i => $parent) {
            if ($parent < 0) {
                $x[] = $y[] = 0.0;
                continue;
            }
            $span = $spans[$parent];
            // A wide fan needs longer stalks, so that they do not run too steep.
            $x[] = $x[$parent] + $boxes->widths[$parent] + $spacing->reach + min(70.0, -$span * 0.08);
            $y[] = $y[$parent] + $offset[$i] - $span / 2;
        }

        return new self($x, $y, $extents);
    }
}
