<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan as PlanRow;
use Embrel\Operation\TopicForm;
use Embrel\Plan\Plan;
use Illuminate\Support\Facades\DB;

/** The whole plan, kept every so many operations: any point in the past is the nearest one and the log after it. */
final class Snapshots
{
    private const EVERY = 500;

    public static function keepIfDue(PlanRow $row, int $from, PlanStore $store): void
    {
        if (intdiv($from, self::EVERY) === intdiv($row->revision, self::EVERY)) {
            return;
        }
        $plan = $store->load($row, true);
        DB::table('snapshots')->insert(['plan_id' => $row->id, 'seq' => $row->revision, 'body' => self::body($plan), 'at' => now()]);
    }

    private static function body(Plan $plan): string
    {
        $topics = [];
        foreach ([Plan::ROOT, Plan::TRAY] as $home) {
            $topics[] = TopicForm::toArray($plan->topic($home));
            foreach ($plan->walk($home) as $id => $_) {
                $topics[] = TopicForm::toArray($plan->topic($id), $plan->parent($id));
            }
        }

        return json_encode(['properties' => $plan->properties->toArray(), 'topics' => $topics], JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR);
    }
}
