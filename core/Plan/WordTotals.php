<?php

declare(strict_types=1);

namespace Embrel\Plan;

/**
 * Words rolled up: for each topic those of its note and of everything under it that prints, and
 * how far they reach its target. An aside prints nothing, so it adds nothing to what is above it.
 */
final readonly class WordTotals
{
    /**
     * @param array<string, int>   $words   topic → words of its note and everything under it
     * @param array<string, int>   $targets topic → its own target, else the sum below; 0: none at all
     * @param array<string, float> $filled  topic → how far its floret is filled, 0 to 1
     */
    private function __construct(public array $words, public array $targets, public array $filled) {}

    public static function of(Plan $plan): self
    {
        $words = $targets = $below = $noted = [];
        $order = [Plan::ROOT];
        foreach ($plan->walk() as $id => $_) {
            $order[] = $id;
        }
        foreach ($order as $id) {
            $words[$id] = $plan->topics[$id]->words;
            $noted[$id] = $plan->topics[$id]->noted;
            $below[$id] = 0;
        }
        for ($i = \count($order) - 1; $i >= 0; --$i) {
            $id = $order[$i];
            $topic = $plan->topics[$id];
            $targets[$id] = $topic->target->words ?? $below[$id];
            $parent = $plan->parents[$id] ?? null;
            if ($parent !== null && $topic->kind !== Kind::Aside) {
                $words[$parent] += $words[$id];
                $below[$parent] += $targets[$id];
                $noted[$parent] = $noted[$parent] || $noted[$id];
            }
        }
        $filled = [];
        foreach ($order as $id) {
            $filled[$id] = $targets[$id] > 0 ? min(1.0, $words[$id] / $targets[$id]) : ($noted[$id] ? 1.0 : 0.0);
        }

        return new self($words, $targets, $filled);
    }
}
