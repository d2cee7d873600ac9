<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Http\Requests\IntakeRequest;
use App\Models\Plan;
use App\Store\PlanList;
use App\Store\PlanSources;
use App\Store\PlanStore;
use Embrel\Id\Ids;
use Embrel\Intake\Branch;
use Embrel\Intake\Outline;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** Takes in pasted text or a file: first shows the tree that it makes, then keeps it as a plan or as a branch. */
final class IntakeController
{
    public function __construct(private readonly Ids $ids) {}

    public function create(Request $request, PlanList $list): View
    {
        return view('plans.intake', ['plans' => $list->names($request->user() ?? abort(401)), 'into' => Given::text($request, 'into') ?: null]);
    }

    public function preview(IntakeRequest $request): JsonResponse
    {
        $result = $request->read($this->ids);

        return response()->json(Outline::of($result->plan) + ['repairs' => $result->repairs]);
    }

    public function store(IntakeRequest $request, PlanStore $store): JsonResponse
    {
        $user = $request->user() ?? abort(401);
        $result = $request->read($this->ids);
        $into = Given::text($request, 'into');
        if ($into === '') {
            return response()->json(['address' => route('plan', $store->create($user, $result->plan))]);
        }
        $plan = Plan::query()->where('id', $into)->firstOrFail();
        Gate::authorize('update', $plan);
        $outcome = $store->apply($plan, $user, [$store->change(PlanSources::along($plan, $result->plan->sources, Branch::of($result->plan, $this->ids, $store->load($plan)), true))]);
        if ($outcome->refused !== []) {
            return response()->json(['message' => $outcome->refused[0]['message'] . ' Nothing was taken in.'], 422);
        }

        return response()->json(['address' => route('plan', $plan)]);
    }
}
