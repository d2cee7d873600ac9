<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\OperationsRequest;
use App\Models\Plan;
use App\Store\PlanStore;
use App\Store\PlanView;
use Illuminate\Http\JsonResponse;

final class OperationController
{
    public function __invoke(OperationsRequest $request, Plan $plan, PlanStore $store): JsonResponse
    {
        $outcome = $store->apply($plan, $request->user() ?? abort(401), $request->changes());

        return response()->json(['refused' => $outcome->refused]
            + PlanView::since($plan, $request->base(), $outcome->after, $outcome->before, $outcome->from));
    }
}
