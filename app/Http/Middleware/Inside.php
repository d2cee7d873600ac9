<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\IpUtils;
use Symfony\Component\HttpFoundation\Response;

/**
 * For who looks after the hosts, and asks from within: this machine, and the networks that `EMBREL_INSIDE` names. To others it is not
 * there.
 */
final class Inside
{
    private const LOOPBACK = ['127.0.0.0/8', '::1'];

    public function handle(Request $request, Closure $next): Response
    {
        IpUtils::checkIp((string) $request->ip(), [...self::LOOPBACK, ...(array) config('embrel.inside')]) || abort(404);

        return $next($request);
    }
}
