<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan as PlanRow;
use App\Models\User;
use Embrel\Check\Ground;
use Embrel\Pace\Next;
use Embrel\Pace\Pace;
use Embrel\Pace\Says;
use Embrel\Pace\WritingDays;
use Embrel\Plan\InvalidValue;
use Embrel\Plan\Plan;
use Illuminate\Support\Facades\DB;

/** The pace of a plan as a person sees it: by their own day, and the days on which they write. */
final class PlanPace
{
    /** @return array<string, mixed> */
    public static function told(PlanRow $row, User $user, Ground $ground): array
    {
        $properties = $ground->plan->properties;
        $on = self::days($user, $row);
        $now = now($user->time_zone)->format('Y-m-d');
        $words = $ground->totals->words(Plan::ROOT);
        $pace = Pace::of($words, $properties->target?->words, $properties->due, $now, WrittenWords::byDay($row), $on);
        $next = Next::of($ground->plan, $ground->totals);

        return [
            'state' => $pace->state->value,
            'head' => Says::head($pace),
            'says' => Says::sentences($pace, $properties->target?->words, $properties->due, $now, $on),
            'line' => $pace->line,
            'today' => $pace->today,
            'next' => $next === null ? null : ['topic' => $next, 'name' => $ground->name($next)],
            'days' => $on->toArray(),
        ];
    }

    public static function days(User $user, PlanRow $row): WritingDays
    {
        $kept = DB::table('plan_views')->where('user_id', $user->id)->where('plan_id', $row->id)->value('writing_days');
        $kept = \is_string($kept) ? json_decode($kept, true) : null;
        try {
            return \is_array($kept) ? WritingDays::of($kept['weekdays'] ?? [], $kept['off'] ?? []) : WritingDays::all();
        } catch (InvalidValue) {
            return WritingDays::all();
        }
    }

    public static function keepDays(User $user, PlanRow $row, WritingDays $on): void
    {
        DB::table('plan_views')->upsert(
            [['user_id' => $user->id, 'plan_id' => $row->id, 'writing_days' => json_encode($on->toArray(), JSON_THROW_ON_ERROR)]],
            ['user_id', 'plan_id'],
            ['writing_days'],
        );
    }
}
