<?php

declare(strict_types=1);

namespace Embrel\Layout\Map;

use Embrel\Numbering\Numbering;
use Embrel\Plan\Plan;
use Embrel\Plan\WordTotals;

/** How far a plan must be folded so that the whole of its map can be read at once. */
final class Legible
{
    private const SMALLEST = 0.6;
    /** More than this many labels fit no screen at a size that can be read. */
    private const MOST = 600;

    /**
     * @param array{float, float} $room width and height that the map may take, in pixels of the screen
     *
     * @return list<string> topics to be folded; none where the whole can be read as it is, or would not be helped
     */
    public static function folded(Plan $plan, Numbering $numbering, WordTotals $totals, Look $look, array $room): array
    {
        $levels = [];
        $deepest = 0;
        foreach ($plan->walk() as $id => $level) {
            $levels[$level][] = $id;
            $deepest = max($deepest, $level);
        }
        $best = self::foldedAt($plan, $levels[1] ?? []);
        $shown = 0;
        for ($level = 1; $level <= $deepest; ++$level) {
            $shown += \count($levels[$level] ?? []);
            $folded = self::foldedAt($plan, $levels[$level] ?? []);
            if ($shown > self::MOST || !self::fits(Picture::of($plan, $numbering, $totals, $look, array_fill_keys($folded, true)), $room)) {
                return $best;
            }
            $best = $folded;
        }

        return [];
    }

    /**
     * @param list<string> $ids
     *
     * @return list<string>
     */
    private static function foldedAt(Plan $plan, array $ids): array
    {
        return array_values(array_filter($ids, static fn(string $id): bool => $plan->parts($id) !== []));
    }

    /** @param array{float, float} $room */
    private static function fits(Picture $picture, array $room): bool
    {
        [$left, $top, $right, $bottom] = $picture->bounds();

        return min($room[0] / max(1.0, $right - $left), $room[1] / max(1.0, $bottom - $top)) >= self::SMALLEST;
    }
}
