<?php

declare(strict_types=1);

namespace Embrel\Layout\Map;

/**
 * Lays branches out to the right, each in a band of its own height: below each other in reading
 * order, so that no two labels can meet and no stalk leaves the band of its topic. A topic stands
 * in the middle between its first and its last part (Stacking).
 */
final readonly class Bands
{
    /**
     * @param array<int, float>               $x       of the floret, from that of its main section
     * @param array<int, float>               $y
     * @param array<int, array{float, float}> $extents main section → how far its branch reaches up and down from it
     */
    private function __construct(public array $x, public array $y, public array $extents) {}

    public static function of(Boxes $boxes, Spacing $spacing): self
    {
        $halves = [];
        foreach ($boxes->heights as $height) {
            $halves[] = $height / 2;
        }
        $stacking = Stacking::of($boxes->parents, $halves, $spacing->rows);

        return self::placed($boxes, $spacing, $stacking->offsets, $stacking->spans, $stacking->extents);
    }

    /**
     * @param array<int, float>               $y       from the last part of the same topic
     * @param array<int, float>               $spans   topic → from its last to its first part, which is upwards
     * @param array<int, array{float, float}> $extents
     */
    private static function placed(Boxes $boxes, Spacing $spacing, array $y, array $spans, array $extents): self
    {
        $x = $y;
        [$widths, $reach] = [$boxes->widths, $spacing->reach];
        foreach ($boxes->parents as $i => $parent) {
            if ($parent < 0) {
                $x[$i] = $y[$i] = 0.0;
                continue;
            }
            $span = $spans[$parent];
            // A wide fan needs longer stalks, so that they do not run too steep.
            $x[$i] = $x[$parent] + $widths[$parent] + $reach + ($span > -875.0 ? -$span * 0.08 : 70.0);
            $y[$i] += $y[$parent] - $span / 2;
        }

        return new self($x, $y, $extents);
    }
}
