<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\OperationsRequest;
use App\Models\Plan;
use App\Store\PlanStore;
use App\Store\PlanView;
use App\Store\UndoLog;
use Illuminate\Http\JsonResponse;

final class OperationController
{
    public function __invoke(OperationsRequest $request, Plan $plan, PlanStore $store): JsonResponse
    {
        $user = $request->user() ?? abort(401);
        $outcome = $store->apply($plan, $user, $request->changes());
        $steps = $outcome->says === null ? (new UndoLog($plan->id, $user->id))->names() : ['undo' => $outcome->says, 'redo' => null];

        return response()->json(['refused' => $outcome->refused, 'steps' => $steps]
            + PlanView::since($plan, $request->base(), $outcome->after, $outcome->before, $outcome->from));
    }
}
