<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Plan;
use App\Store\PlanNotes;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/**
 * The notes that have changed since a revision, for a page that keeps the plan to be read and written
 * without the network; some at a time, and with `more` where to go on.
 */
final class KeptController
{
    public function __invoke(Request $request, Plan $plan): JsonResponse
    {
        $given = $request->validate(['since' => ['required', 'integer', 'min:0'], 'after' => ['nullable', 'string', 'size:26']]);
        [$notes, $more] = PlanNotes::since($plan, (int) $given['since'], (string) ($given['after'] ?? ''));

        return response()->json(['revision' => $plan->revision, 'notes' => (object) $notes, 'more' => $more]);
    }
}
