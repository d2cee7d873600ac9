<?php

declare(strict_types=1);

namespace App\Backup;

use Illuminate\Support\Facades\DB;

/** Does something with another database of the same server in the place of the application's own. */
final class Beside
{
    private const NAME = 'beside';

    public static function of(string $database, \Closure $work): void
    {
        $own = (string) config('database.default');
        config(['database.connections.' . self::NAME => ['database' => $database] + (array) config("database.connections.{$own}")]);
        DB::setDefaultConnection(self::NAME);
        try {
            $work();
        } finally {
            DB::setDefaultConnection($own);
            DB::purge(self::NAME);
        }
    }
}
