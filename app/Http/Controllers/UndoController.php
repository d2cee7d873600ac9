<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Plan;
use App\Rules\Id;
use App\Store\StepBack;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Takes back the person's own newest step in this plan, or one that is named. */
final class UndoController
{
    public function __invoke(Request $request, Plan $plan, StepBack $stepBack): JsonResponse
    {
        $given = $request->validate(['base' => ['required', 'integer', 'min:0'], 'step' => ['nullable', new Id()]]);
        $user = $request->user() ?? abort(401);

        return response()->json(
            isset($given['step'])
                ? $stepBack->undoStep($plan, $user, (int) $given['base'], $given['step'])
                : $stepBack->undo($plan, $user, (int) $given['base']),
        );
    }
}
