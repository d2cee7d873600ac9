<?php

declare(strict_types=1);

namespace Embrel\Pace;

use Embrel\Plan\Flag;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;
use Embrel\Plan\WordTotals;

/** What is to be written next by the plan: what is flagged to come first, then next, then the section that is least finished. */
final class Next
{
    /** @return string|null a topic; null: there is nothing left to write */
    public static function of(Plan $plan, WordTotals $totals): ?string
    {
        $flagged = [Flag::First->value => null, Flag::Next->value => null];
        $least = null;
        $finished = 1.0;
        $open = array_reverse($plan->parts(Plan::ROOT));
        while ($open !== []) {
            $id = array_pop($open);
            $topic = $plan->topics[$id];
            // What may go or comes later, and all under it, is nothing for now.
            if ($topic->kind === Kind::Aside || $topic->flag === Flag::MayGo || $topic->flag === Flag::Later) {
                continue;
            }
            array_push($open, ...array_reverse($plan->parts($id)));
            $filled = $totals->filled($id);
            if ($topic->kind !== Kind::Section || $filled >= 1.0) {
                continue;
            }
            if ($topic->flag !== null && \array_key_exists($topic->flag->value, $flagged)) {
                $flagged[$topic->flag->value] ??= $id;
            }
            $isLeaf = array_filter($plan->parts($id), static fn(string $part): bool => $plan->topics[$part]->kind === Kind::Section) === [];
            if ($isLeaf && $filled < $finished) {
                [$least, $finished] = [$id, $filled];
            }
        }

        return $flagged[Flag::First->value] ?? $flagged[Flag::Next->value] ?? $least;
    }
}
