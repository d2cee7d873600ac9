<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Hosts\Measures;
use App\Hosts\Parts;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;

/** How a host is, for what stands in front of it and for who looks after it. */
final class ReadyController
{
    /** Whether it can be given requests, and how long each part took to answer, in milliseconds. */
    public function __invoke(): JsonResponse
    {
        $parts = Parts::all();
        $isReady = array_filter($parts, static fn(array $part): bool => !$part['ok']) === [];

        return response()->json(['ready' => $isReady, 'parts' => $parts], $isReady ? 200 : 503);
    }

    public function measures(): Response
    {
        return response(Measures::text(), 200, ['Content-Type' => Measures::TYPE]);
    }
}
