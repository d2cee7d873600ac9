<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan as PlanRow;
use App\Models\User;
use Embrel\Pace\Schedule;
use Embrel\Pace\Stretch;
use Embrel\Plan\Plan;

/** The schedule of a plan as a person sees it, by their own day. */
final class PlanSchedule
{
    /** @return array<string, mixed> */
    public static function told(PlanRow $row, Plan $plan, User $user): array
    {
        $today = $user->today();
        $schedule = Schedule::of($plan, $today);

        return [
            'revision' => $row->revision,
            'today' => $today,
            'from' => $schedule->from,
            'to' => $schedule->to,
            'due' => $plan->properties->due,
            'undated' => $schedule->undated,
            'stretches' => array_map(static fn(Stretch $one): array => self::stretch($one, $schedule->to), $schedule->stretches),
        ];
    }

    /** @return array<string, mixed> what is not usual of a stretch is left out */
    private static function stretch(Stretch $one, string $last): array
    {
        return ['id' => $one->topic, 'from' => $one->from, 'to' => $one->to] + array_filter([
            'own' => $one->isOwn,
            'reversed' => $one->isReversed,
            'late' => $one->isLate,
            'done' => $one->isDone,
            'outside' => $one->outside,
            'times' => $one->later($last),
        ]);
    }
}
