<?php

declare(strict_types=1);

namespace App\Hosts;

use Illuminate\Support\Facades\Cache;

/** Processes that nobody asks anything say from time to time that they are there. */
final class Alive
{
    /** In seconds: so often it is said, and for so long it is believed. */
    private const EACH = 10;
    private const HOLDS = 60;

    /** @var array<string, int> when this process said it last */
    private static array $said = [];

    public static function says(string $kind): void
    {
        if ((self::$said[$kind] ?? 0) <= time() - self::EACH) {
            self::$said[$kind] = time();
            try {
                Cache::put("alive.{$kind}", time(), self::HOLDS);
            } catch (\Throwable) {
                // Where it cannot be said, more is amiss than this.
            }
        }
    }

    public static function is(string $kind): bool
    {
        return Cache::has("alive.{$kind}");
    }
}
