<?php

declare(strict_types=1);

namespace Embrel\Intake\WayBack;

/** Which words went and which came between two texts: the longest common run of them stays (Myers, 1986, by the plain table). */
final class WordDiff
{
    /** Of the table; beyond that the middle is said to be another text as a whole. */
    private const MOST = 2_000_000;

    /** @return list<array{string, string}> `=`, `-` or `+`, and the words with their spaces */
    public static function between(string $before, string $after): array
    {
        [$old, $new] = [self::pieces($before), self::pieces($after)];
        $start = 0;
        while (isset($old[$start], $new[$start]) && $old[$start] === $new[$start]) {
            ++$start;
        }
        $end = 0;
        while ($end < \count($old) - $start && $end < \count($new) - $start && $old[\count($old) - 1 - $end] === $new[\count($new) - 1 - $end]) {
            ++$end;
        }
        $out = [['=', implode('', \array_slice($old, 0, $start))]];
        foreach (self::middle(\array_slice($old, $start, \count($old) - $start - $end), \array_slice($new, $start, \count($new) - $start - $end)) as $one) {
            $out[] = $one;
        }
        $out[] = ['=', $end === 0 ? '' : implode('', \array_slice($old, -$end))];

        return self::joined($out);
    }

    /** @return list<string> words, each with the white space behind it */
    private static function pieces(string $text): array
    {
        preg_match_all('/\S+\s*|\A\s+/u', $text, $m);

        return $m[0];
    }

    /**
     * @param list<string> $old
     * @param list<string> $new
     *
     * @return list<array{string, string}>
     */
    private static function middle(array $old, array $new): array
    {
        [$n, $m] = [\count($old), \count($new)];
        if ($n === 0 || $m === 0 || $n * $m > self::MOST) {
            return [['-', implode('', $old)], ['+', implode('', $new)]];
        }
        $table = array_fill(0, $n + 1, []);
        $table[$n] = array_fill(0, $m + 1, 0);
        for ($i = $n - 1; $i >= 0; --$i) {
            $row = [$m => 0];
            for ($k = $m - 1; $k >= 0; --$k) {
                $row[$k] = $old[$i] === $new[$k] ? $table[$i + 1][$k + 1] + 1 : max($table[$i + 1][$k], $row[$k + 1]);
            }
            $table[$i] = $row;
        }
        $out = [];
        for ($i = $k = 0; $i < $n || $k < $m;) {
            if ($i < $n && $k < $m && $old[$i] === $new[$k]) {
                $out[] = ['=', $old[$i++]];
                ++$k;
            } elseif ($i < $n && ($k >= $m || $table[$i + 1][$k] >= $table[$i][$k + 1])) {
                $out[] = ['-', $old[$i++]];
            } else {
                $out[] = ['+', $new[$k++]];
            }
        }

        return $out;
    }

    /**
     * @param list<array{string, string}> $pieces
     *
     * @return list<array{string, string}>
     */
    private static function joined(array $pieces): array
    {
        $out = [];
        $run = ['=', ''];
        foreach ($pieces as [$sign, $text]) {
            if ($sign !== $run[0] && $text !== '') {
                $run[1] === '' ? null : $out[] = $run;
                $run = [$sign, ''];
            }
            $run[1] .= $text;
        }
        $run[1] === '' ? null : $out[] = $run;

        return $out;
    }
}
