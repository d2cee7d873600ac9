<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Hosts\Replica;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Remembers who has changed something, so that what they read next has it. */
final class NotesWriting
{
    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        if (!$request->isMethodSafe()) {
            Replica::wrote(ReadsLate::who($request));
        }

        return $response;
    }
}
