<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Plan;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;

/** The sources of a plan, in the order in which they came. */
final class SourceController
{
    public function __invoke(Plan $plan): JsonResponse
    {
        Gate::authorize('view', $plan);

        return response()->json(['sources' => DB::table('sources')->where('plan_id', $plan->id)->whereNull('removed_at')->orderBy('id')->get(['id', 'title'])]);
    }
}
