<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Http\Requests\StepBackRequest;
use App\Models\Plan;
use App\Store\StepBack;
use Illuminate\Http\JsonResponse;

/** Takes back the person's own newest step in this plan, or one that is named. */
final class UndoController
{
    public function __invoke(StepBackRequest $request, Plan $plan, StepBack $stepBack): JsonResponse
    {
        $user = Given::person($request);
        $step = $request->step();

        return response()->json(
            $step === null ? $stepBack->undo($plan, $user, $request->base()) : $stepBack->undoStep($plan, $user, $request->base(), $step),
        );
    }
}
