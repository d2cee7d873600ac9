<?php

declare(strict_types=1);

namespace Embrel\Codes;

/**
 * Codes that a device shows for half a minute each: TOTP (RFC 6238) over HOTP (RFC 4226), with SHA-1, six digits and steps of thirty
 * seconds, as every program for such codes has them.
 */
final readonly class Totp
{
    public const STEP = 30;
    public const DIGITS = 6;
    /** Steps by which a device’s clock may be off. */
    private const OFF = 1;
    /** Of a secret, in bytes (RFC 4226, section 4, R6). */
    public const SECRET = 20;

    /** @param string $secret bytes */
    public function __construct(#[\SensitiveParameter] private string $secret) {}

    /** @param int $digits at most nine */
    public function code(int $step, int $digits = self::DIGITS, string $hash = 'sha1'): string
    {
        $mac = hash_hmac($hash, pack('J', $step), $this->secret, true);
        $at = \ord($mac[\strlen($mac) - 1]) & 15;
        /** @var array{1: int} $number */
        $number = unpack('N', substr($mac, $at, 4));

        return str_pad((string) (($number[1] & 0x7fffffff) % 10 ** $digits), $digits, '0', STR_PAD_LEFT);
    }

    public static function step(int $time): int
    {
        return intdiv($time, self::STEP);
    }

    /**
     * The step whose code was given, at a moment; null: of none that may be. A code is taken once: none of a step that was
     * used before, or of one before it (RFC 6238, section 5.2).
     *
     * @param int $used the step used last; -1: none
     */
    public function stepOf(string $given, int $time, int $used = -1): ?int
    {
        $given = (string) preg_replace('/[\s-]+/', '', $given);
        $found = null;
        for ($step = self::step($time) - self::OFF; $step <= self::step($time) + self::OFF; ++$step) {
            // All are looked at, so that how long it takes tells nothing.
            if (hash_equals($this->code($step), $given) && $step > $used) {
                $found = $step;
            }
        }

        return $found;
    }

    /** The address by which a device takes the secret, from a picture of it too (as the programs for such codes have agreed on it). */
    public function address(string $issuer, string $account): string
    {
        $query = ['secret' => Base32::encode($this->secret), 'issuer' => $issuer, 'digits' => self::DIGITS, 'period' => self::STEP];

        return 'otpauth://totp/' . rawurlencode("{$issuer}:{$account}") . '?' . http_build_query($query, '', '&', PHP_QUERY_RFC3986);
    }
}
