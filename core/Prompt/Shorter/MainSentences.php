<?php

declare(strict_types=1);

namespace Embrel\Prompt\Shorter;

use Embrel\Language\Tongue;
use Embrel\Words;

/**
 * The sentences of a text that say most of it, by SumBasic (A. Nenkova and L. Vanderwende, The Impact of Frequency on
 * Summarization, 2005): a sentence counts by how likely its words are in the text, and what one has said counts less
 * in those that are chosen after it.
 */
final class MainSentences
{
    /** In words: what is shorter says little by itself. */
    private const SHORTEST = 5;
    /** So many sentences are looked at. */
    private const MOST = 3_000;

    /**
     * @param list<Saying> $sayings in reading order
     * @param int          $words   so many words are wanted; no sentence is cut for it
     *
     * @return list<Saying> in reading order
     */
    public static function of(Tongue $tongue, array $sayings, int $words): array
    {
        $likely = $stems = $lengths = [];
        foreach (\array_slice($sayings, 0, self::MOST) as $i => $saying) {
            $length = Words::in($saying->text);
            $of = $length < self::SHORTEST || str_ends_with($saying->text, '?') ? [] : $tongue->stems($saying->text);
            if ($of !== []) {
                [$stems[$i], $lengths[$i]] = [$of, $length];
                foreach ($of as $stem => $times) {
                    $likely[$stem] = ($likely[$stem] ?? 0) + $times;
                }
            }
        }
        $all = array_sum($likely);
        $likely = array_map(static fn(int $times): float => $times / $all, $likely);
        $having = [];
        foreach ($stems as $i => $of) {
            foreach ($of as $stem => $_) {
                $having[$stem][$i] = $i;
            }
        }
        $chosen = [];
        for ($left = $words; $likely !== [] && $left >= self::SHORTEST;) {
            $best = self::best($stems, $likely, $having[array_search(max($likely), $likely, true)] ?? []);
            foreach ($stems[$best] as $stem => $_) {
                unset($having[$stem][$best]);
                if ($having[$stem] === []) {
                    unset($having[$stem], $likely[$stem]);
                }
            }
            if ($lengths[$best] <= $left) {
                $chosen[$best] = $sayings[$best];
                $left -= $lengths[$best];
                foreach (array_intersect_key($stems[$best], $likely) as $stem => $_) {
                    $likely[$stem] **= 2;
                }
            }
        }
        ksort($chosen);

        return array_values($chosen);
    }

    /**
     * Of the sentences that have a word, the one whose words are likeliest.
     *
     * @param array<int, array<array-key, int>> $stems
     * @param array<array-key, float>           $likely
     * @param array<int, int>                   $having at least one
     */
    private static function best(array $stems, array $likely, array $having): int
    {
        $ranks = [0 => -1.0];
        foreach ($having as $i) {
            $sum = 0.0;
            foreach ($stems[$i] as $stem => $times) {
                $sum += $times * $likely[$stem];
            }
            $ranks[$i] = $sum / array_sum($stems[$i]);
        }

        return (int) array_search(max($ranks), $ranks, true);
    }
}
