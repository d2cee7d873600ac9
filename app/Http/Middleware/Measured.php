<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Hosts\Measures;
use App\Hosts\Release;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\Response;

/**
 * Gives each request an id, by which it is found in the logs of every part it went through, says of which version the answer is, and
 * counts it.
 */
final readonly class Measured
{
    public const ID = 'X-Request-Id';

    public function __construct(private Measures $measures) {}

    public function handle(Request $request, Closure $next): Response
    {
        // By FastCGI from what stands in front: no browser can set it.
        $given = $request->server->getString('EMBREL_REQUEST_ID');
        $id = preg_match('/\A[0-9A-Za-z-]{8,64}\z/', $given) === 1 ? $given : Str::lower(Str::random(16));
        Log::shareContext(['request' => $id]);
        $response = $next($request);
        $response->headers->set(self::ID, $id);
        $response->headers->set(Release::HEADER, Release::id());

        return $response;
    }

    public function terminate(Request $request, Response $response): void
    {
        if (Measures::areKept()) {
            $began = \defined('LARAVEL_START') ? LARAVEL_START : (float) $request->server->get('REQUEST_TIME_FLOAT');
            $this->measures->request($response->getStatusCode(), microtime(true) - $began, memory_get_peak_usage(true));
            $this->measures->keep();
        }
    }
}
