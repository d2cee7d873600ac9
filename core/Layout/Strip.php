<?php

declare(strict_types=1);

namespace Embrel\Layout;

use Embrel\Numbering\Numbering;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;
use Embrel\Plan\WordTotals;

/** The bar under the title: the main sections in reading order, each as wide as its share. */
final readonly class Strip
{
    /**
     * @param list<array{id: string, label: string, title: string, dye: string, share: int, filled: float}> $sections
     *        share: the section's target, else its words; never 0, so that each can be seen
     */
    private function __construct(public array $sections) {}

    public static function of(Plan $plan, Numbering $numbering, WordTotals $totals): self
    {
        $sections = [];
        foreach ($plan->parts(Plan::ROOT) as $id) {
            $topic = $plan->topic($id);
            if ($topic->kind === Kind::Aside) {
                continue;
            }
            $sections[] = [
                'id' => $id,
                // There is no room for “Chapter”: its number alone.
                'label' => substr((string) strrchr(' ' . $numbering->own($id), ' '), 1),
                'title' => $topic->title,
                'dye' => $topic->dye->value ?? 'slate',
                'share' => max(1, $totals->target($id) ?: $totals->words($id)),
                'filled' => round($totals->filled($id), 3),
            ];
        }

        return new self($sections);
    }
}
