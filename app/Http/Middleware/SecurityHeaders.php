<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * On every answer: nothing but our own scripts, styles, fonts and pictures; no framing; kept by nobody on the way, nor
 * by the browser when it is left. Styles of an element carry measures and dyes.
 */
final class SecurityHeaders
{
    private const HEADERS = [
        'Content-Security-Policy'
            => "default-src 'self'; script-src 'self'; style-src 'self'; style-src-attr 'unsafe-inline'; "
                . "img-src 'self' data:; font-src 'self'; media-src 'self' blob:; connect-src 'self'; "
                . "object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'",
        'X-Content-Type-Options' => 'nosniff',
        'X-Frame-Options' => 'DENY',
        'Referrer-Policy' => 'same-origin',
        'Cache-Control' => 'no-store, private',
        'Permissions-Policy' => 'camera=(self), microphone=(self), geolocation=()',
    ];

    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        // A page that brings a policy of its own, and says who may frame it, keeps it.
        $hasOwn = $response->headers->has('Content-Security-Policy');
        $own = $hasOwn ? ['Content-Security-Policy' => true, 'X-Frame-Options' => true] : [];
        foreach (array_diff_key(self::HEADERS, $own) as $name => $value) {
            $response->headers->set($name, $value);
        }
        // The stream of news may stand under an address of its own.
        $stream = (string) config('embrel.stream_url');
        if ($stream !== '' && !$hasOwn) {
            $policy = str_replace("connect-src 'self'", "connect-src 'self' {$stream}", self::HEADERS['Content-Security-Policy']);
            $response->headers->set('Content-Security-Policy', $policy);
        }

        return $response;
    }
}
