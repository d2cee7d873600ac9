<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan as PlanRow;
use App\Models\User;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Which questions a person was asked of a topic, and has taken or let go. */
final class AskedQuestions
{
    /** @return list<string> ids */
    public static function of(User $user, PlanRow $plan, string $topic): array
    {
        return array_values(array_map(strval(...), self::rows($user, $plan, $topic)->pluck('question')->all()));
    }

    public static function remember(User $user, PlanRow $plan, string $topic, string $question): void
    {
        DB::table('asked_questions')->insertOrIgnore(
            ['user_id' => $user->id, 'plan_id' => $plan->id, 'topic_id' => $topic, 'question' => $question],
        );
    }

    /** All may be asked once more. */
    public static function forget(User $user, PlanRow $plan, string $topic): void
    {
        self::rows($user, $plan, $topic)->delete();
    }

    private static function rows(User $user, PlanRow $plan, string $topic): Builder
    {
        return DB::table('asked_questions')->where('user_id', $user->id)->where('plan_id', $plan->id)->where('topic_id', $topic);
    }
}
