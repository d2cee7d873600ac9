<?php

declare(strict_types=1);

namespace App\SignIn;

use App\Models\User;
use App\Store\Transaction;
use Embrel\Codes\Base32;
use Embrel\Codes\Recovery;
use Embrel\Codes\Totp;
use Illuminate\Support\Facades\Crypt;

/** Signing in by something that one knows and something that one has: a code of a device, or one of the codes on paper. */
final class SecondStep
{
    public static function isOn(User $user): bool
    {
        return $user->totp_secret !== null;
    }

    /** A new secret as a person types it into a device; nothing is kept yet. */
    public static function secret(): string
    {
        return Base32::encode(random_bytes(Totp::SECRET));
    }

    public static function address(User $user, #[\SensitiveParameter] string $secret): string
    {
        return (new Totp((string) Base32::decode($secret)))->address((string) config('app.name'), $user->email);
    }

    /**
     * Turns it on, where the device shows the right code.
     *
     * @return list<string>|null the codes for paper, which are told once; null: it was another code
     */
    public static function turnOn(User $user, #[\SensitiveParameter] string $secret, string $code): ?array
    {
        $bytes = Base32::decode($secret);
        $step = $bytes === null || \strlen($bytes) !== Totp::SECRET ? null : (new Totp($bytes))->stepOf($code, now()->getTimestamp());
        if ($step === null) {
            return null;
        }
        $user->forceFill(['totp_secret' => Crypt::encryptString($secret), 'totp_step' => $step]);

        return self::newCodes($user);
    }

    /** @return list<string> told once; those of before are good no more */
    public static function newCodes(User $user): array
    {
        $codes = array_map(static fn(): string => Recovery::code(random_bytes(Recovery::BYTES)), range(1, Recovery::COUNT));
        $user->forceFill(['recovery_codes' => array_map(self::print(...), $codes)])->save();

        return $codes;
    }

    public static function codesLeft(User $user): int
    {
        return \count($user->recovery_codes ?? []);
    }

    public static function turnOff(User $user): void
    {
        $user->forceFill(['totp_secret' => null, 'totp_step' => -1, 'recovery_codes' => null])->save();
    }

    /** Takes a code of the device or one on paper, once: two that come at the same moment are one after the other. */
    public static function take(User $user, string $given): bool
    {
        return Transaction::of(static function () use ($user, $given): bool {
            $query = User::query()->where('id', $user->id);
            $query->getQuery()->lockForUpdate();
            $row = $query->first();
            if ($row?->totp_secret === null) {
                return false;
            }
            $secret = (string) Base32::decode(Crypt::decryptString($row->totp_secret));
            $step = (new Totp($secret))->stepOf($given, now()->getTimestamp(), $row->totp_step);
            if ($step !== null) {
                return $row->forceFill(['totp_step' => $step])->save();
            }
            $codes = $row->recovery_codes ?? [];
            $left = array_values(array_diff($codes, [self::print(Recovery::spelt($given))]));

            return \count($left) < \count($codes) && $row->forceFill(['recovery_codes' => $left])->save();
        });
    }

    /** They have more chance in them than can be tried, so a quick hash with the key of the application keeps them well. */
    private static function print(string $code): string
    {
        return hash_hmac('sha256', "recovery {$code}", (string) config('app.key'));
    }
}
