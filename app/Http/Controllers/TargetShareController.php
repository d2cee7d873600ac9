<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Plan;
use App\Store\PlanStore;
use Embrel\Plan\TargetShares;
use Illuminate\Http\JsonResponse;

/** How the plan's target would be shared out among its main sections. */
final class TargetShareController
{
    public function __invoke(Plan $plan, PlanStore $store): JsonResponse
    {
        return response()->json(['shares' => (object) TargetShares::of($store->load($plan))]);
    }
}
