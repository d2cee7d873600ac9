<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\MapRequest;
use App\Http\Requests\OperationsRequest;
use App\Models\Plan;
use App\Store\PlanStore;
use App\Store\PlanView;
use Illuminate\Http\JsonResponse;

final class OperationController
{
    public function __invoke(OperationsRequest $request, Plan $plan, PlanStore $store): JsonResponse
    {
        $user = $request->user() ?? abort(401);
        $outcome = $store->apply($plan, $user, $request->changes());

        $map = MapRequest::told($request, $outcome->after);

        return response()->json(['refused' => $outcome->refused] + PlanView::of($plan, $user, $request->base(), $outcome) + ($map === null ? [] : ['map' => $map]));
    }
}
