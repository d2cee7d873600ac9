<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Answers under the configured address alone, so that no other can get into a link of ours; on this machine the
 * other names of it lead there.
 */
final class KnownHost
{
    private const OF_HOSTS = ['up', 'ready', 'metrics'];
    private const LOOPBACK = ['localhost', '127.0.0.1', '[::1]'];

    public function handle(Request $request, Closure $next): Response
    {
        $parts = (array) parse_url((string) config('app.url'));
        $host = strtolower((string) ($parts['host'] ?? ''));
        $asked = strtolower((string) $request->headers->get('Host'));
        $port = isset($parts['port']) ? ":{$parts['port']}" : '';
        // Who looks after hosts asks each by its own address.
        if ($asked === $host . $port || $request->is(self::OF_HOSTS)) {
            return $next($request);
        }
        if (
            \in_array($host, self::LOOPBACK, true)
            && \in_array($asked, array_map(static fn(string $name): string => $name . $port, self::LOOPBACK), true)
            && $request->isMethodSafe()
        ) {
            return redirect()->away(rtrim((string) config('app.url'), '/') . '/' . ltrim($request->server->getString('REQUEST_URI'), '/'));
        }
        abort(421, 'Embrel is not reached under this name.');
    }
}
