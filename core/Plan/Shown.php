<?php

declare(strict_types=1);

namespace Embrel\Plan;

/** What of a plan is shown to who is no part of it. */
final class Shown
{
    /**
     * The plan without its loose ideas, and without its asides and all under them, unless they are to be shown.
     *
     * @param list<string> $without topics that are left out, with all under them
     */
    public static function of(Plan $plan, bool $loose = false, bool $asides = false, array $without = []): Plan
    {
        $without = array_fill_keys($without, true);
        $parts = $parents = [];
        $topics = array_intersect_key($plan->topics, [Plan::ROOT => true, Plan::TRAY => true, Plan::BIN => true]);
        $waiting = $loose ? [Plan::TRAY, Plan::ROOT] : [Plan::ROOT];
        while ($waiting !== []) {
            $id = array_pop($waiting);
            foreach ($plan->parts($id) as $part) {
                if (!isset($without[$part]) && ($asides || $plan->topic($part)->kind !== Kind::Aside)) {
                    $topics[$part] = $plan->topic($part);
                    $parts[$id][] = $part;
                    $parents[$part] = $id;
                    $waiting[] = $part;
                }
            }
        }
        $relations = array_filter(
            $plan->relations,
            static fn(Relation $one): bool => isset($topics[$one->from], $topics[$one->to]),
        );

        return new Plan($topics, $parts, $parents, $plan->properties, $plan->foreign, $plan->sources, $relations);
    }
}
