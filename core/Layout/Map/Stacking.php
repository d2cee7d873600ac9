<?php

declare(strict_types=1);

namespace Embrel\Layout\Map;

/**
 * Parts one after the other, each with all the room that it and what is under it take up, and their
 * parent in the middle between the first and the last of them. In which unit is the caller's
 * affair: pixels down the page, or radians around a section. One pass over flat lists: linear.
 */
final readonly class Stacking
{
    /**
     * @param array<int, float>               $offsets topic → how far after the last part of the same topic it stands; not more than 0
     * @param array<int, float>               $spans   topic → from its last to its first part; not more than 0
     * @param array<int, array{float, float}> $extents root → how far everything reaches before it, and after it
     */
    private function __construct(public array $offsets, public array $spans, public array $extents) {}

    /**
     * @param list<int>         $parents position of the parent, which stands before its parts; -1 for a root
     * @param array<int, float> $halves  half of what each topic itself takes up
     * @param float             $gap     between two parts
     */
    public static function of(array $parents, array $halves, float $gap): self
    {
        $count = \count($parents);
        // Of the parts visited so far, which come last first: where the latest stands (0 is where the
        // last of them stands), how far it reaches before it (-1: none visited yet), and the last of
        // them after it. Filled at once: lists that grow backwards cost far more.
        $cursor = $behind = $offsets = array_fill(0, $count, 0.0);
        $ahead = array_fill(0, $count, -1.0);
        $extents = [];
        for ($i = $count - 1; $i >= 0; --$i) {
            $before = $after = $halves[$i];
            if ($ahead[$i] >= 0.0) {
                $half = $cursor[$i] / 2;
                if ($ahead[$i] - $half > $before) {
                    $before = $ahead[$i] - $half;
                }
                if ($behind[$i] - $half > $after) {
                    $after = $behind[$i] - $half;
                }
            }
            $parent = $parents[$i];
            if ($parent < 0) {
                $extents[$i] = [$before, $after];
                continue;
            }
            if ($ahead[$parent] >= 0.0) {
                $cursor[$parent] -= $ahead[$parent] + $gap + $after;
            } else {
                $behind[$parent] = $after;
            }
            $ahead[$parent] = $before;
            $offsets[$i] = $cursor[$parent];
        }

        return new self($offsets, $cursor, array_reverse($extents, true));
    }
}
