<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Http\Requests\StepBackRequest;
use App\Models\Plan;
use App\Store\StepBack;
use Illuminate\Http\JsonResponse;

/** Brings back what the person took back last. */
final class RedoController
{
    public function __invoke(StepBackRequest $request, Plan $plan, StepBack $stepBack): JsonResponse
    {
        return response()->json($stepBack->redo($plan, Given::person($request), $request->base()));
    }
}
