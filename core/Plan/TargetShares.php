<?php

declare(strict_types=1);

namespace Embrel\Plan;

/**
 * A plan's target shared out among its main sections, in round tens: what is left over by targets
 * already set is divided among the sections without one, by how many topics each holds.
 */
final class TargetShares
{
    private const ROUND = 10;

    /** @return array<string, int> section → words, of those without a target; empty where nothing is left to share */
    public static function of(Plan $plan): array
    {
        $left = $plan->properties->target->words ?? 0;
        $weights = [];
        foreach ($plan->parts(Plan::ROOT) as $id) {
            $topic = $plan->topic($id);
            if ($topic->kind === Kind::Aside) {
                continue;
            }
            if ($topic->target !== null) {
                $left -= $topic->target->words;
            } else {
                $weights[$id] = \count($plan->branch($id));
            }
        }
        if ($left < self::ROUND * \count($weights) || $weights === []) {
            return [];
        }
        $shares = [];
        $total = array_sum($weights);
        foreach ($weights as $id => $weight) {
            $shares[$id] = max(self::ROUND, intdiv((int) ($left * $weight / $total), self::ROUND) * self::ROUND);
        }
        // What rounding left goes to the largest, so that the whole comes out even.
        $largest = (string) array_search(max($shares), $shares, true);
        $shares[$largest] += $left - array_sum($shares);

        return $shares;
    }
}
