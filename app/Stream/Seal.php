<?php

declare(strict_types=1);

namespace App\Stream;

use App\Models\Plan;
use App\Models\User;

/**
 * Addresses of the stream of a plan's news, sealed for one person: the process that serves them knows no session. A seal holds
 * for some hours; whether that person may see the plan is asked each time it is used.
 */
final class Seal
{
    /** In seconds. */
    private const HOLDS = 43_200;

    /** Empty where there is no stream. */
    public static function address(User $user, Plan $plan): string
    {
        $stream = (string) config('embrel.stream_url');
        $until = time() + self::HOLDS;

        return $stream === '' ? '' : "{$stream}/plans/{$plan->id}?by={$user->id}&until={$until}&seal=" . self::of($plan->id, $user->id, $until);
    }

    public static function holds(string $plan, int $user, int $until, string $seal): bool
    {
        return $until >= time() && hash_equals(self::of($plan, $user, $until), $seal);
    }

    private static function of(string $plan, int $user, int $until): string
    {
        return hash_hmac('sha256', "stream {$plan} {$user} {$until}", (string) config('app.key'));
    }
}
