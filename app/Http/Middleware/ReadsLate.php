<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Hosts\PrimaryFirst;
use App\Hosts\Replica;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\Response;

/**
 * Lists, search, history and previews are read where a copy of the database is, which may be a moment behind; whoever has just changed
 * something reads where it was written.
 */
final class ReadsLate
{
    public function handle(Request $request, Closure $next): Response
    {
        $connection = DB::connection();
        $who = self::who($request);
        if (!$connection instanceof PrimaryFirst || !$request->isMethodSafe() || Replica::hasWritten($who) || !Replica::mayAnswer()) {
            return $next($request);
        }
        $connection->readLate(Replica::isGone(...));
        try {
            return $next($request);
        } finally {
            $connection->readAtOnce();
        }
    }

    /** By whom a change is looked for again: the person, or the machine of who has no account. */
    public static function who(Request $request): string
    {
        return (string) ($request->user()?->getAuthIdentifier() ?? "at {$request->ip()}");
    }
}
