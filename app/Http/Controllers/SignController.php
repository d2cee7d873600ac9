<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use Embrel\Plan\Sign;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The signs that a topic may carry, by words. */
final class SignController
{
    private const MOST = 48;

    public function __invoke(Request $request): JsonResponse
    {
        $found = \array_slice(Sign::found(mb_substr(Given::text($request, 'words'), 0, 100)), 0, self::MOST);

        return response()->json(['signs' => (object) Sign::told(array_column($found, 'name'))]);
    }
}
