<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Plan;
use App\Store\PlanRows;
use App\Store\PlanView;
use App\Store\Sight;
use App\Store\UndoLog;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

/** What has happened since a revision; 204 when nothing has. */
final class ChangeController
{
    public function __invoke(Request $request, Plan $plan): JsonResponse|Response
    {
        Gate::authorize('view', $plan);
        $base = $request->integer('since');
        if ($base >= $plan->revision) {
            return response()->noContent();
        }

        return response()->json(
            ['steps' => (new UndoLog($plan->id, (int) $request->user()?->id))->names()]
                + PlanView::since($plan, $base, Sight::of((new PlanRows())->tree($plan)), null, 0),
        );
    }
}
