<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Http\Requests\MendRequest;
use App\Models\Plan;
use App\Store\News;
use App\Store\PlanChecks;
use App\Store\PlanStore;
use Embrel\Check\Check;
use Embrel\Check\Finding;
use Embrel\Check\Mending;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What a plan still lacks, and the mending of what can be mended without asking. */
final class CheckController
{
    public function show(Request $request, Plan $plan): JsonResponse
    {
        return response()->json(PlanChecks::told($plan, Given::person($request)));
    }

    public function rules(Plan $plan): JsonResponse
    {
        return response()->json(['rules' => PlanChecks::rules($plan)]);
    }

    /** Mends what one rule has found, or some of it, in one step. What is no longer as it was found is left out. */
    public function mend(MendRequest $request, Plan $plan, PlanStore $store): JsonResponse
    {
        $user = Given::person($request);

        return $store->locked($plan, static function () use ($request, $plan, $store, $user): JsonResponse {
            $whole = $store->load($plan, true);
            $chosen = $request->chosen();
            $findings = array_values(array_filter(
                Check::ofWhole($whole)->findings,
                static fn(Finding $one): bool => $one->rule === $request->rule() && ($chosen === null || isset($chosen[$one->key()])),
            ));
            if ($findings === []) {
                return response()->json(['message' => 'This is no longer as it was found; nothing was changed.'], 409);
            }
            $says = Mending::says($request->rule(), \count($findings));
            $outcome = $store->insist($plan, $user, $store->change(Mending::of($whole, $findings), says: $says));

            return response()->json(['mended' => \count($findings)] + News::of($plan, $user, $request->integer('base'), $outcome));
        });
    }
}
