<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\Plan;

/** Reading order of chosen topics, found without walking the whole plan. */
final class Order
{
    /**
     * @param list<string> $ids topics of the plan
     *
     * @return list<string> the same in reading order, the tray after the tree
     */
    public static function of(Plan $plan, array $ids): array
    {
        if (\count($ids) < 2) {
            return $ids;
        }
        $positions = [];
        $paths = [];
        foreach ($ids as $id) {
            $path = [];
            for ($at = $id; ($parent = $plan->parent($at)) !== null; $at = $parent) {
                $positions[$parent] ??= array_flip($plan->parts($parent));
                $path[] = $positions[$parent][$at];
            }
            $path[] = (int) ltrim($at, '0');
            $paths[$id] = array_reverse($path);
        }
        uasort($paths, self::compare(...));

        return array_keys($paths);
    }

    /**
     * @param list<int> $a
     * @param list<int> $b
     */
    private static function compare(array $a, array $b): int
    {
        foreach ($a as $i => $position) {
            if (!isset($b[$i]) || $position !== $b[$i]) {
                return $position <=> ($b[$i] ?? -1);
            }
        }

        return \count($a) <=> \count($b);
    }
}
