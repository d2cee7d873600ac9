<?php

declare(strict_types=1);

namespace Embrel\Prompt\Near;

/**
 * Ranks passages by the words that they share with what is sought: BM25 (S. Robertson and H. Zaragoza, The Probabilistic
 * Relevance Framework: BM25 and Beyond, 2009, formula 3.15), with a rarity that is never below nought.
 */
final readonly class Bm25
{
    private const K1 = 1.2;
    private const B = 0.75;

    /**
     * @param int   $passages how many there are in all
     * @param float $length   how many words one has, on average
     */
    public function __construct(private int $passages, private float $length) {}

    /** How much it says that a word stands in a passage, by how many others it stands in. */
    public static function rarity(int $having, int $all): float
    {
        return log(1 + ($all - $having + 0.5) / ($having + 0.5));
    }

    /**
     * What shares a word by chance alone is left out.
     *
     * @param array<array-key, list<array{int, int, int}>> $found word → the passages that have it: passage, how often, and how many words that has in all
     *
     * @return array<int, float> passage → its rank, the highest first; among equals the one that came first
     */
    public function ranked(Sought $sought, array $found): array
    {
        $ranks = $ties = [];
        $mean = max(1.0, $this->length);
        foreach ($found as $word => $passages) {
            $weight = $sought->weight((string) $word) * self::rarity(\count($passages), max($this->passages, \count($passages)));
            foreach ($passages as [$passage, $times, $words]) {
                $ranks[$passage] = ($ranks[$passage] ?? 0.0)
                    + $weight * $times * (self::K1 + 1) / ($times + self::K1 * (1 - self::B + self::B * $words / $mean));
                $ties[$passage][] = $word;
            }
        }
        $ranks = array_filter($ranks, static fn(int $passage): bool => $sought->isTiedBy($ties[$passage]), ARRAY_FILTER_USE_KEY);
        uksort($ranks, static fn(int $a, int $b): int => $ranks[$b] <=> $ranks[$a] ?: $a <=> $b);

        return $ranks;
    }
}
