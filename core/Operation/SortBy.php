<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\Plan;
use Embrel\Plan\WordTotals;

/** By what the parts of a topic are sorted. */
enum SortBy: string
{
    case Title = 'title';
    case Words = 'words';
    case Target = 'target';

    /**
     * Titles as a dictionary of the plan's language has them, numbers in them by value; words and
     * targets the largest first. What is alike keeps its order.
     *
     * @return list<string> the parts in their new order
     */
    public function sorted(Plan $plan, string $parent): array
    {
        $parts = $plan->parts($parent);
        if ($this === self::Title) {
            $collator = new \Collator($plan->properties->language);
            $collator->setAttribute(\Collator::NUMERIC_COLLATION, \Collator::ON);
            usort(
                $parts,
                static fn(string $a, string $b): int => (int) $collator->compare($plan->topic($a)->title, $plan->topic($b)->title),
            );
        } else {
            $totals = WordTotals::of($plan);
            $size = $this === self::Words ? $totals->words(...) : $totals->target(...);
            usort($parts, static fn(string $a, string $b): int => $size($b) <=> $size($a));
        }

        return $parts;
    }
}
