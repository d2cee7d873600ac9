<?php

declare(strict_types=1);

namespace App\Store;

use App\Access\Access;
use App\Models\Plan;
use App\Models\Showing;
use App\Models\User;

/** The addresses at which other machines follow who shows a plan: 128 bits of chance, of which only a hash is kept. */
final class Showings
{
    /** How long an address leads somewhere. */
    private const HOURS = 12;
    private const BEGINNING = ['at' => 0, 'stop' => 0, 'dark' => false, 'map' => false];

    /** @return string the address; one that was made before leads nowhere any more */
    public static function begin(Plan $plan, User $user): string
    {
        $end = Links::end();
        Showing::query()->updateOrCreate(
            ['plan_id' => $plan->id, 'user_id' => $user->id],
            ['token' => hash('sha256', $end), 'at' => self::BEGINNING, 'ends_at' => now()->addHours(self::HOURS)],
        );

        return route('watch', $end);
    }

    public static function end(Plan $plan, User $user): void
    {
        Showing::query()->where('plan_id', $plan->id)->where('user_id', $user->id)->delete();
    }

    /**
     * Where the speaker is now.
     *
     * @param array{at: int, stop: int, dark: bool, map: bool} $at
     *
     * @return bool whether anybody can follow
     */
    public static function move(Plan $plan, User $user, array $at): bool
    {
        $showing = Showing::query()->where('plan_id', $plan->id)->where('user_id', $user->id)->first();

        return $showing !== null && !$showing->ends_at->isPast() && $showing->update(['at' => $at]);
    }

    /** What an address leads to; null: nothing, or nothing any more, or to what its speaker may not see any more. */
    public static function find(string $end): ?Showing
    {
        $showing = Showing::query()->with(['plan', 'user'])->where('token', hash('sha256', $end))->first();
        if ($showing === null || $showing->ends_at->isPast() || $showing->getRelation('plan') === null) {
            return null;
        }

        return Access::of($showing->user, $showing->plan) === null ? null : $showing;
    }
}
