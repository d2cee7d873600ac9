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
        // By position in reading order instead of by id: this runs over thousands of topics at each change.
        $order = $plan->order();
        $position = array_flip($order);
        $words = $targets = $noted = $filled = [];
        $below = array_fill(0, count($order), 0);
        foreach ($order as $id) {
            $topic = $plan->topics[$id];
            $words[] = $topic->words;
            $noted[] = $topic->noted;
        }
        for ($i = count($order) - 1; $i >= 0; --$i) {
            $topic = $plan->topics[$order[$i]];
            $target = $targets[$i] = $topic->target->words ?? $below[$i];
            $filled[$i] = $target > 0 ? min(1.0, $words[$i] / $target) : ($noted[$i] ? 1.0 : 0.0);
            if ($i > 0 && $topic->kind !== Kind::Aside) {
                $parent = $position[$plan->parents[$order[$i]]];
                $words[$parent] += $words[$i];
                $below[$parent] += $target;
                $noted[$parent] = $noted[$parent] || $noted[$i];
            }
        }
        ksort($targets);
        ksort($filled);
        [$words, $targets, $filled] = [array_combine($order, $words), array_combine($order, $targets), array_combine($order, $filled)];

        return new self($words, $targets, $filled);
    }
}
