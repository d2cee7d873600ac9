<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan as PlanRow;
use App\Models\User;
use Embrel\Prompt\Helper\Parcel;
use Embrel\Prompt\Helper\Wish;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/** What was sent to a helper of a plan, by whom, and what came back: kept so that it can be looked at. */
final class CompanionLetters
{
    private const SHOWN = 50;

    /**
     * @return list<array{id: string, wish: string, topic: string, helper: string, sent: string, answer: string|null,
     * failed: string|null, taken: bool, by: string, at: string}> the newest first
     */
    public static function of(PlanRow $plan): array
    {
        $rows = DB::table('companion_letters')
            ->join('users', 'users.id', '=', 'companion_letters.user_id')
            ->where('plan_id', $plan->id)
            ->orderByDesc('at')
            ->orderByDesc('companion_letters.id')
            ->limit(self::SHOWN)
            ->get(['companion_letters.*', 'users.name']);

        return array_values($rows->map(static fn(\stdClass $row): array => [
            'id' => $row->id,
            'wish' => $row->wish,
            'topic' => $row->topic_id,
            'helper' => $row->helper,
            'sent' => $row->sent,
            'answer' => $row->answer,
            'failed' => $row->failed,
            'taken' => (bool) $row->is_taken,
            'by' => $row->name,
            'at' => Carbon::parse($row->at)->toIso8601String(),
        ])->all());
    }

    /** How often a person may still ask today. */
    public static function left(User $user): int
    {
        $sent = DB::table('companion_letters')->where('user_id', $user->id)->where('at', '>', now()->subDay())->count();

        return max(0, (int) config('embrel.companion.a_day') - $sent);
    }

    /**
     * One at a time for each person.
     *
     * @template T
     *
     * @param \Closure(): T $work
     *
     * @return T|null null: another one is under way
     */
    public static function alone(User $user, \Closure $work): mixed
    {
        $lock = Cache::lock("companion {$user->id}", (int) config('embrel.companion.seconds') + 30);
        if (!$lock->get()) {
            return null;
        }
        try {
            return $work();
        } finally {
            $lock->release();
        }
    }

    public static function sent(PlanRow $plan, User $user, string $topic, Parcel $parcel, string $helper): string
    {
        $id = (new NewIds())->next();
        DB::table('companion_letters')->insert([
            'id' => $id,
            'plan_id' => $plan->id,
            'user_id' => $user->id,
            'topic_id' => $topic,
            'wish' => $parcel->wish->value,
            'helper' => $helper,
            'sent' => $parcel->instruction() . "\n\n" . $parcel->text(),
            'at' => now(),
        ]);

        return $id;
    }

    /** @param string $failed '' where it came to its end */
    public static function answered(string $id, string $answer, string $failed): void
    {
        DB::table('companion_letters')->where('id', $id)->update(['answer' => mb_scrub($answer), 'failed' => $failed]);
    }

    /** Something of it was taken into the plan. */
    public static function taken(PlanRow $plan, string $id): void
    {
        DB::table('companion_letters')->where('plan_id', $plan->id)->where('id', $id)->update(['is_taken' => true]);
    }

    public static function wasHelped(PlanRow $plan): bool
    {
        return DB::table('companion_letters')->where('plan_id', $plan->id)->where('is_taken', true)->exists();
    }
}
