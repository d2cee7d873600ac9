<?php

declare(strict_types=1);

namespace App\Hosts;

use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/**
 * Whether a replica of the database may answer: it is set, it is there, and it had not long ago all that the primary had. That is asked for
 * every few seconds, by one request for all hosts: the primary says where its log stands (a GTID), the replica whether it has come so far.
 */
final class Replica
{
    /** In seconds: for so long an answer holds, and so far a replica may be behind. */
    private const HOLDS = 2;
    private const PATIENCE = 0.25;
    /** Who has written something reads for so long what they wrote, in seconds; longer than a replica may be behind. */
    private const OWN = 10;
    private const STATE = 'replica.state';

    public static function isSet(): bool
    {
        return config('database.connections.mariadb.read') !== null;
    }

    public static function mayAnswer(): bool
    {
        if (!self::isSet()) {
            return false;
        }
        $state = Cache::get(self::STATE);
        if ($state === null) {
            // The others go on with the primary until one of them knows.
            if (!Cache::add(self::STATE, 'asked', self::HOLDS)) {
                return false;
            }
            $state = self::hasAll() ? 'well' : 'behind';
            Cache::put(self::STATE, $state, self::HOLDS);
        }

        return $state === 'well';
    }

    /** @return bool|null null: it does not answer */
    public static function comesAlong(): ?bool
    {
        $connection = DB::connection();
        if (!$connection instanceof PrimaryFirst) {
            return null;
        }
        $at = $connection->selectOne('SELECT @@gtid_binlog_pos AS at')?->at;
        $isGone = false;
        $connection->readLate(static function () use (&$isGone): void {
            $isGone = true;
        });
        try {
            // On no replica it would wait for nobody: that it is one, its own place tells.
            $row = $connection->selectOne('SELECT @@gtid_slave_pos AS its, MASTER_GTID_WAIT(?, ?) AS waited', [(string) $at, self::PATIENCE]);
        } finally {
            $connection->readAtOnce();
        }

        return $isGone ? null : $row !== null && (string) $row->its !== '' && (int) $row->waited === 0;
    }

    private static function hasAll(): bool
    {
        try {
            return self::comesAlong() === true;
        } catch (\PDOException) {
            return false;
        }
    }

    /** It did not answer when it was asked: for a while it is left alone. */
    public static function isGone(): void
    {
        Cache::put(self::STATE, 'gone', self::OWN);
    }

    /** Somebody has written something, and will look for it. */
    public static function wrote(string $who): void
    {
        if (self::isSet()) {
            Cache::put("replica.wrote.{$who}", true, self::OWN);
        }
    }

    public static function hasWritten(string $who): bool
    {
        return Cache::has("replica.wrote.{$who}");
    }
}
