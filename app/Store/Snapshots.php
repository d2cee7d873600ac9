<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan as PlanRow;
use Embrel\Plan\Plan;
use Embrel\Plan\PlanForm;
use Embrel\Shape;
use Illuminate\Support\Facades\DB;

/**
 * The whole plan, kept every so many operations and for each named version: any point in the past is the nearest
 * one and the log after it.
 */
final class Snapshots
{
    private const EVERY = 500;

    public function __construct(private readonly PlanStore $store) {}

    public function keepIfDue(PlanRow $row, int $from): void
    {
        if (intdiv($from, self::EVERY) !== intdiv($row->revision, self::EVERY)) {
            self::keep($row, $this->store->whole($row));
        }
    }

    /** Keeps the plan as it is, under a name where one is given. */
    public static function keep(PlanRow $row, Plan $plan, ?string $name = null): void
    {
        $body = json_encode(PlanForm::toArray($plan), JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR);
        DB::table('snapshots')->upsert(
            [['plan_id' => $row->id, 'seq' => $row->revision, 'name' => $name, 'body' => $body, 'at' => now()]],
            ['plan_id', 'seq'],
            $name === null ? ['body'] : ['name', 'at'],
        );
    }

    /** The plan as it was after an operation, with all its notes; null where that was not kept. */
    public function at(PlanRow $row, int $seq): ?Plan
    {
        $nearest = DB::table('snapshots')
            ->where('plan_id', $row->id)
            ->where('seq', '<=', $seq)
            ->orderByDesc('seq')
            ->first(['seq', 'body']);
        if ($nearest === null || $seq > $row->revision) {
            return null;
        }
        $plan = PlanForm::plan(new Shape(json_decode($nearest->body, true, 512, JSON_THROW_ON_ERROR), 'snapshot'));
        $log = DB::table('operations')
            ->where('plan_id', $row->id)
            ->where('seq', '>', $nearest->seq)
            ->where('seq', '<=', $seq)
            ->orderBy('seq')
            ->pluck('difference');
        foreach ($log as $difference) {
            $plan = StoredDifference::read($difference)->in($plan);
        }

        return $plan->withProperties($plan->properties->stylesIn(new CitationStyles()));
    }
}
