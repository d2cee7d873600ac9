<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\Link;
use App\Store\Links;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Pages that need no account: whoever has the address of a plan's link sees them. No search engine is to keep them.
 */
final class ByLink
{
    public function handle(Request $request, Closure $next): Response
    {
        $end = $request->route('end');
        $link = Links::find(\is_string($end) ? $end : '') ?? abort(404);
        $request->attributes->set('link', $link);
        $response = self::isOpen($request, $link) || $request->routeIs('read.password')
            ? $next($request)
            : response()->view('read.password', ['end' => $end]);
        $response->headers->set('X-Robots-Tag', 'noindex, nofollow, noarchive');

        return $response;
    }

    public static function link(Request $request): Link
    {
        $link = $request->attributes->get('link');

        return $link instanceof Link ? $link : abort(404);
    }

    /** Whether its password was given in this session, as it is now. */
    public static function isOpen(Request $request, Link $link): bool
    {
        return $link->password === null || $request->session()->get("link.{$link->id}") === hash('sha256', $link->password);
    }
}
