<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Plan;
use App\Store\StepBack;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Brings back what the person took back last. */
final class RedoController
{
    public function __invoke(Request $request, Plan $plan, StepBack $stepBack): JsonResponse
    {
        $base = (int) $request->validate(['base' => ['required', 'integer', 'min:0']])['base'];

        return response()->json($stepBack->redo($plan, $request->user() ?? abort(401), $base));
    }
}
