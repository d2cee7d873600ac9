<?php

declare(strict_types=1);

namespace Embrel\Plan;

/** Which of some values can stay where they are so that all that stay ascend: as many as can be. */
final class Ascending
{
    /**
     * The longest ascending subsequence, by binary search over its possible ends.
     *
     * @template T
     *
     * @param array<string, T>         $values  key → value, in their order
     * @param \Closure(T, T): int      $compare
     *
     * @return array<string, true> keys of those that stay
     */
    public static function longest(array $values, \Closure $compare): array
    {
        /** @var array<int, string> $tails */
        $tails = [];
        /** @var array<string, string|null> $before */
        $before = [];
        foreach ($values as $key => $value) {
            $low = 0;
            $high = \count($tails);
            while ($low < $high) {
                $middle = intdiv($low + $high, 2);
                if ($compare($values[$tails[$middle]], $value) < 0) {
                    $low = $middle + 1;
                } else {
                    $high = $middle;
                }
            }
            $before[$key] = $low > 0 ? $tails[$low - 1] : null;
            $tails[$low] = $key;
        }
        $kept = [];
        for ($key = $tails === [] ? null : $tails[\count($tails) - 1]; $key !== null; $key = $before[$key]) {
            $kept[$key] = true;
        }

        return $kept;
    }
}
