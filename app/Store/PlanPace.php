<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan as PlanRow;
use App\Models\User;
use Embrel\Check\Ground;
use Embrel\Pace\Next;
use Embrel\Pace\Pace;
use Embrel\Pace\Says;
use Embrel\Plan\Plan;

/** The pace of a plan as a person sees it: by their own day, and the days on which they write. */
final class PlanPace
{
    /** @return array<string, mixed> */
    public static function told(PlanRow $row, User $user, Ground $ground): array
    {
        $properties = $ground->plan->properties;
        $on = (new PersonalState())->writingDays($user, $row);
        $now = $user->today();
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
}
