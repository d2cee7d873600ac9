<?php

declare(strict_types=1);

namespace Embrel\RichText;

/**
 * The longest row of words that two texts have in common: what they begin and end with alike, and
 * between that by the table of lengths (Wagner and Fischer, 1974); of long texts that differ little by
 * the shortest way from the one to the other (Myers, 1986).
 */
final class LongestCommon
{
    /** Words that came or went, in all, between two long texts that are compared. */
    private const EDITS = 1_500;

    /**
     * @param list<string> $one
     * @param list<string> $other
     * @param int          $most  pairs of words that the table may have; of longer texts that differ in very many words nothing
     *                            is taken to be in common but what they begin and end with
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
        $isShort = ($endOne - $start) * ($endOther - $start) <= $most;
        [$one, $other] = [\array_slice($one, $start, $endOne - $start), \array_slice($other, $start, $endOther - $start)];
        $pairs += $isShort ? self::between($one, $other, $start) : self::near($one, $other, $start);

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

    /**
     * @param list<string> $one
     * @param list<string> $other
     *
     * @return array<int, int> empty where there are too many edits
     */
    private static function near(array $one, array $other, int $from): array
    {
        [$n, $m] = [\count($one), \count($other)];
        // How far one gets on each diagonal (from the one to the other: x - y), with so many edits.
        $reached = [1 => 0];
        /** @var list<list<int>> $trace for each number of edits, on its diagonals from the lowest */
        $trace = [];
        for ($edits = 0; $edits <= min($n + $m, self::EDITS); ++$edits) {
            $row = [];
            for ($k = -$edits; $k <= $edits; $k += 2) {
                $x = $k === -$edits || ($k !== $edits && $reached[$k - 1] < $reached[$k + 1]) ? $reached[$k + 1] : $reached[$k - 1] + 1;
                for ($y = $x - $k; $x < $n && $y < $m && $one[$x] === $other[$y]; ++$x, ++$y);
                $reached[$k] = $row[] = $x;
                if ($x >= $n && $y >= $m) {
                    return self::way($trace, $edits, $n, $m, $from);
                }
            }
            $trace[] = $row;
        }

        return [];
    }

    /**
     * @param list<list<int>> $trace
     *
     * @return array<int, int> what is alike on the way, from its end to its beginning
     */
    private static function way(array $trace, int $edits, int $x, int $y, int $from): array
    {
        $pairs = [];
        for (; $edits >= 0; --$edits) {
            [$toX, $toY] = [0, 0];
            if ($edits > 0) {
                $k = $x - $y;
                $before = static fn(int $diagonal): int => $trace[$edits - 1][intdiv($diagonal + $edits - 1, 2)];
                $k += $k === -$edits || ($k !== $edits && $before($k - 1) < $before($k + 1)) ? 1 : -1;
                [$toX, $toY] = [$before($k), $before($k) - $k];
            }
            while ($x > $toX && $y > $toY) {
                $pairs[$from + --$x] = $from + --$y;
            }
            [$x, $y] = [$toX, $toY];
        }

        return array_reverse($pairs, true);
    }
}
