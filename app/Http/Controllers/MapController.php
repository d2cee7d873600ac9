<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Http\Requests\MapRequest;
use App\Models\Plan;
use App\Store\PersonalState;
use App\Store\PlanStore;
use App\Store\Sight;
use Illuminate\Http\JsonResponse;

/** The geometry of the map, as a page wants to see it; kept as the person's own look where it says so. */
final class MapController
{
    public function __invoke(MapRequest $request, Plan $plan, PlanStore $store, PersonalState $personal): JsonResponse
    {
        if ($request->boolean('keep')) {
            $personal->keepMap(Given::person($request), $plan, MapRequest::look($request));
        }

        return response()->json(MapRequest::told($request, Sight::of($store->load($plan))));
    }
}
