<?php

declare(strict_types=1);

namespace Embrel\RichText;

/**
 * The longest row of words that two texts have in common: what they begin and end with alike, and
 * between that by the table of lengths (Wagner and Fischer, 1974).
 */
final class LongestCommon
{
    /**
     * @param list<string> $one
     * @param list<string> $other
     * @param int          $most  pairs of words; where more are left between what is alike they are taken to have nothing in common
     *
     * @return array<int, int> place in the one → place in the other, both ascending
     */
    public static function of(array $one, array $other, int $most): array
    {
        [$start, $endOne, $endOther] = [0, \count($one), \count($other)];
        $pairs = [];
        while ($start < $endOne && $start < $endOther && $one[$start] === $other[$start]) {
            $pairs[$start] = $start;
            ++$start;
        }
        $tail = [];
        while ($endOne > $start && $endOther > $start && $one[$endOne - 1] === $other[$endOther - 1]) {
            $tail[--$endOne] = --$endOther;
        }
        if (($endOne - $start) * ($endOther - $start) <= $most) {
            $pairs += self::between(\array_slice($one, $start, $endOne - $start), \array_slice($other, $start, $endOther - $start), $start);
        }

        return $pairs + array_reverse($tail, true);
    }

    /**
     * @param list<string> $one
     * @param list<string> $other
     *
     * @return array<int, int>
     */
    private static function between(array $one, array $other, int $from): array
    {
        [$n, $m] = [\count($one), \count($other)];
        $lengths = array_fill(0, $n + 1, []);
        $lengths[$n] = array_fill(0, $m + 1, 0);
        for ($i = $n - 1; $i >= 0; --$i) {
            $row = [$m => 0];
            $below = $lengths[$i + 1];
            for ($j = $m - 1; $j >= 0; --$j) {
                $row[$j] = $one[$i] === $other[$j] ? $below[$j + 1] + 1 : max($below[$j], $row[$j + 1]);
            }
            $lengths[$i] = $row;
        }
        $pairs = [];
        for ($i = $j = 0; $i < $n && $j < $m;) {
            if ($one[$i] === $other[$j]) {
                $pairs[$from + $i++] = $from + $j++;
            } elseif ($lengths[$i + 1][$j] >= $lengths[$i][$j + 1]) {
                ++$i;
            } else {
                ++$j;
            }
        }

        return $pairs;
    }
}
