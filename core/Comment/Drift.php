<?php

declare(strict_types=1);

namespace Embrel\Comment;

use Embrel\RichText\LongestCommon;
use Embrel\RichText\WordByWord;

/** Where a stretch of a text has come to when the text was changed: told by the words that both texts have in common. */
final class Drift
{
    /** Above this many pairs of words two texts have in common what they begin and end with. */
    private const PAIRS = 250_000;
    /** What has grown beyond this, beside what it was, are other words. */
    private const MOST_GROWN = 4;
    private const GROWS = 40;
    /** One in so many of their letters, in whole words, are enough of them. */
    private const ENOUGH = 3;
    /** Words, signs and white space to either side that count as beside a stretch. */
    private const NEAR = 4;

    /**
     * @param int $from   in characters
     * @param int $length in characters, one at least
     *
     * @return array{int, int}|null where it begins and how long it is; null: nothing of it is left, and nothing stands in its place
     */
    public static function of(string $was, string $is, int $from, int $length): ?array
    {
        $words = mb_substr($was, $from, $length);
        // The same words to the letter, where there is no doubt which: also where the line was turned about.
        if (mb_substr_count($was, $words) === 1 && mb_substr_count($is, $words) === 1) {
            return [(int) mb_strpos($is, $words), $length];
        }
        [$one, $other] = [WordByWord::split($was), WordByWord::split($is)];
        $matches = LongestCommon::of($one, $other, self::PAIRS);
        [$starts, $ends] = [self::starts($one), self::starts($other)];
        [$first, $last] = self::within($starts, $from, $from + $length);
        $begin = isset($matches[$first]) ? $matches[$first] : self::behind($matches, $first);
        $end = isset($matches[$last]) ? $matches[$last] + 1 : self::before($matches, $last, \count($other));
        while ($begin < $end && trim($other[$begin]) === '') {
            ++$begin;
        }
        while ($end > $begin && trim($other[$end - 1]) === '') {
            --$end;
        }
        $new = $end > $begin ? [$ends[$begin], $ends[$end] - $ends[$begin]] : null;

        return $new === null || self::isOther($matches, $one, $first, $last, $new[1], $length) ? null : $new;
    }

    /**
     * Whether what stands in the place has so little of the words that it is not they any more.
     *
     * @param array<int, int> $matches
     * @param list<string>    $one
     */
    private static function isOther(array $matches, array $one, int $first, int $last, int $length, int $before): bool
    {
        $kept = $all = 0;
        for ($i = $first; $i <= $last; ++$i) {
            $letters = preg_match('/[\p{L}\p{N}]/u', $one[$i]) === 1 ? mb_strlen($one[$i]) : 0;
            $all += $letters;
            $kept += isset($matches[$i]) ? $letters : 0;
        }
        if ($kept * self::ENOUGH >= $all && $kept > 0) {
            return $length > self::MOST_GROWN * $before + self::GROWS;
        }

        // Next to nothing of them is left: what stands between their neighbours stands for them, if both of these are there.
        return !self::hasNeighbours($matches, $one, $first, $last) || $length > self::MOST_GROWN * $before;
    }

    /**
     * @param array<int, int> $matches
     * @param list<string>    $one
     */
    private static function hasNeighbours(array $matches, array $one, int $first, int $last): bool
    {
        $before = \array_slice($one, max(0, $first - self::NEAR), min($first, self::NEAR), true);
        $after = \array_slice($one, $last + 1, self::NEAR, true);

        return $before + $after !== [] && self::hasOne($matches, $before) && self::hasOne($matches, $after);
    }

    /**
     * @param array<int, int>    $matches
     * @param array<int, string> $words
     */
    private static function hasOne(array $matches, array $words): bool
    {
        foreach ($words as $i => $word) {
            if (isset($matches[$i]) && preg_match('/[\p{L}\p{N}]/u', $word) === 1) {
                return true;
            }
        }

        return $words === [];
    }

    /**
     * @param list<string> $words
     *
     * @return list<int> where each begins, in characters, and where the last ends
     */
    private static function starts(array $words): array
    {
        $at = 0;
        $starts = [0];
        foreach ($words as $word) {
            $starts[] = $at += mb_strlen($word);
        }

        return $starts;
    }

    /**
     * @param list<int> $starts
     *
     * @return array{int, int} the first and the last word that a stretch touches
     */
    private static function within(array $starts, int $from, int $to): array
    {
        $first = $last = 0;
        for ($i = 0; $i < \count($starts) - 1; ++$i) {
            $first = $starts[$i] <= $from ? $i : $first;
            $last = $starts[$i] < $to ? $i : $last;
        }

        return [$first, $last];
    }

    /**
     * Behind the last word in common that stood before one.
     *
     * @param array<int, int> $matches
     */
    private static function behind(array $matches, int $word): int
    {
        for ($i = $word - 1; $i >= 0; --$i) {
            if (isset($matches[$i])) {
                return $matches[$i] + 1;
            }
        }

        return 0;
    }

    /**
     * Before the first word in common that stood behind one.
     *
     * @param array<int, int> $matches
     */
    private static function before(array $matches, int $word, int $count): int
    {
        $next = array_filter(array_keys($matches), static fn(int $i): bool => $i > $word);

        return $next === [] ? $count : $matches[min($next)];
    }
}
