<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan as PlanRow;
use Embrel\Plan\Plan;
use Embrel\Search\Query;
use Illuminate\Support\Facades\DB;

/** The plan with those notes loaded in which a query may be found. */
final class PlanSearch
{
    public static function load(PlanRow $row, Query $query): Plan
    {
        $rows = new PlanRows();
        $plan = $rows->tree($row);
        $ids = [];
        if (!$query->isEmpty()) {
            foreach (DB::table('notes')->where('plan_id', $row->id)->select(['topic_id', 'plain'])->cursor() as $note) {
                if ($query->mayBeIn($note->plain)) {
                    $ids[] = $note->topic_id;
                }
            }
        }

        return $rows->withNotes($plan, $row->id, $ids);
    }
}
