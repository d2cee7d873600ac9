<?php

declare(strict_types=1);

namespace App\Store;

use Illuminate\Support\Facades\DB;

/**
 * All that some work does to the database, or none of it. Where two get in each other's way, the
 * database ends one of them (a deadlock): that one is done again from its beginning, so it may keep
 * nothing from one try to the next.
 */
final class Transaction
{
    /** How often work is begun at the most; one that always meets another is told as an error. */
    public const TRIES = 5;

    /**
     * @template T
     *
     * @param \Closure(): T $work
     *
     * @return T
     */
    public static function of(\Closure $work): mixed
    {
        return DB::transaction(static fn(): mixed => $work(), self::TRIES);
    }
}
