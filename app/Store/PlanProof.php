<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan as PlanRow;
use Embrel\Plan\Plan;
use Embrel\Plan\PlanForm;
use Embrel\Plan\TopicForm;
use Illuminate\Support\Facades\DB;

/**
 * Whether a plan is what its log says: its rows, against its first state with every change since. What was lost or was done twice on the
 * way shows as a difference between the two.
 */
final readonly class PlanProof
{
    public function __construct(private PlanStore $store, private Snapshots $snapshots) {}

    /** @return string|null what does not agree, in words without any of the plan's own; null: all of it agrees */
    public function fails(PlanRow $row): ?string
    {
        $numbers = DB::table('operations')
            ->where('plan_id', $row->id)
            ->selectRaw('COUNT(*) AS n, MIN(seq) AS first, MAX(seq) AS last')
            ->first();
        if ($numbers !== null && (int) $numbers->n > 0) {
            $begins = (int) DB::table('snapshots')->where('plan_id', $row->id)->min('seq') + 1;
            $is = array_map(intval(...), [$numbers->first, $numbers->last, $numbers->n]);
            if ($is !== [$begins, $row->revision, $row->revision - $begins + 1]) {
                return "its log has {$numbers->n} changes from {$numbers->first} to {$numbers->last}, and it stands at {$row->revision}";
            }
        }
        $logged = $this->snapshots->at($row, $row->revision);
        if ($logged === null) {
            return 'its first state is not there';
        }
        $now = $this->store->whole($row);
        $gone = array_diff_key($logged->topics, $now->topics);
        $new = array_diff_key($now->topics, $logged->topics);
        if ($gone !== [] || $new !== []) {
            return \count($gone) . ' topics of its log are missing, ' . \count($new) . ' are there of which it does not know';
        }

        return self::form($now) === self::form($logged) ? null : self::differing($now, $logged);
    }

    /** All that a plan is, in one order. */
    private static function form(Plan $plan): string
    {
        $parts = $plan->parts;
        [$sources, $relations] = [$plan->sources, $plan->relations];
        // In which order things were removed, or came, is no part of a plan.
        isset($parts[Plan::BIN]) && sort($parts[Plan::BIN]);
        ksort($sources);
        ksort($relations);
        $form = PlanForm::toArray(new Plan($plan->topics, $parts, $plan->parents, $plan->properties, $plan->foreign, $sources, $relations));
        self::sort($form);

        return json_encode($form, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR);
    }

    /** @param array<array-key, mixed> $form names in their order; lists stay as they are */
    private static function sort(array &$form): void
    {
        array_is_list($form) || ksort($form);
        foreach ($form as &$part) {
            \is_array($part) && self::sort($part);
        }
    }

    private static function differing(Plan $now, Plan $logged): string
    {
        $form = static fn(Plan $plan, string $id): array => TopicForm::toArray($plan->topic($id), $plan->parents[$id] ?? null);
        $other = array_filter(
            array_keys($now->topics),
            static fn(string|int $id): bool => $form($now, (string) $id) != $form($logged, (string) $id),
        );

        return $other === []
            ? 'the order of its topics, its properties, sources or relations are others than in its log'
            : \count($other) . ' topics are others than in its log, or stand elsewhere';
    }
}
