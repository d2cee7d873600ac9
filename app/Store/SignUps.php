<?php

declare(strict_types=1);

namespace App\Store;

use App\Mail\AccountThere;
use App\Mail\OpenAccount;
use App\Models\User;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Str;

/**
 * Accounts on their way: one opens by the link in a letter to its address, so that every address is
 * its owner's, and whether there is an account for one is told to its owner alone.
 */
final class SignUps
{
    /** For so long, in hours, a letter's link opens the account. */
    public const HOLDS = 24;

    /**
     * @param array<string, mixed> $given `name`, `email`, `password`, `time_zone`
     *
     * @return string the address that the letter leads to
     */
    public static function begin(array $given): string
    {
        $email = \is_string($given['email'] ?? null) ? $given['email'] : '';
        $password = Hash::make(\is_string($given['password'] ?? null) ? $given['password'] : '');
        $token = Str::random(40);
        if (User::query()->where('email', $email)->exists()) {
            defer(static fn() => Mail::to($email)->send(new AccountThere()));

            return route('login');
        }
        DB::table('sign_ups')->insert(
            [
                'token' => hash('sha256', $token),
                'password' => $password,
                'created_at' => now(),
            ] + array_intersect_key($given, ['email' => 1, 'name' => 1, 'time_zone' => 1]),
        );
        $link = route('sign-up.letter', $token);
        defer(static fn() => Mail::to($email)->send(new OpenAccount($link)));

        return $link;
    }

    /** @return \stdClass|null with `name` and `email`; null where the letter is too old, or was used */
    public static function find(string $token): ?\stdClass
    {
        return DB::table('sign_ups')
            ->where('token', hash('sha256', $token))
            ->where('created_at', '>=', now()->subHours(self::HOLDS))
            ->first();
    }

    /** Opens the account; null where it cannot be any more. */
    public static function open(string $token): ?User
    {
        $found = self::find($token);
        try {
            return $found === null
                ? null
                : Transaction::of(static function () use ($found): User {
                    $user = User::query()->create([
                        'name' => $found->name,
                        'email' => $found->email,
                        'password' => $found->password,
                        'time_zone' => $found->time_zone,
                    ]);
                    DB::table('sign_ups')->where('email', $found->email)->delete();

                    return $user;
                });
        } catch (UniqueConstraintViolationException) {
            // Another letter to the same address was followed meanwhile.
            return null;
        }
    }

    /** Forgets letters whose link opens nothing any more. */
    public static function purge(): void
    {
        DB::table('sign_ups')->where('created_at', '<', now()->subHours(self::HOLDS))->delete();
    }
}
