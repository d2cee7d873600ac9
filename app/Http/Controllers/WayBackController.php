<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Plan;
use App\Store\Intakes;
use App\Store\PlanStore;
use App\Store\Snapshots;
use App\Store\WaitingFiles;
use Embrel\Id\Ids;
use Embrel\Intake\Options;
use Embrel\Intake\WayBack\Acceptance;
use Embrel\Intake\WayBack\Change;
use Embrel\Intake\WayBack\Comparison;
use Embrel\Reader\Format;
use Embrel\Reader\Unreadable;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** A draft that comes home: what was changed in it elsewhere, and what of that the writer takes into the plan. */
final class WayBackController
{
    public function __construct(private readonly PlanStore $store, private readonly WaitingFiles $waiting, private readonly Intakes $intakes, private readonly Snapshots $snapshots, private readonly Ids $ids) {}

    public function show(Plan $plan): View
    {
        Gate::authorize('update', $plan);

        return view('plans.way-back', ['plan' => $plan, 'strip' => $plan->strip ?? []]);
    }

    public function compare(Request $request, Plan $plan): JsonResponse
    {
        Gate::authorize('update', $plan);
        $comparison = $this->comparison($request, $plan, false);

        return response()->json(['changes' => array_map(static fn(Change $change): array => $change->toArray(), $comparison->changes), 'sure' => round($comparison->sureness(), 2), 'found' => \count($comparison->matches->here), 'byMarks' => \count(array_filter($comparison->matches->sure, static fn(float $sure): bool => $sure >= 1.0))]);
    }

    public function accept(Request $request, Plan $plan): JsonResponse
    {
        Gate::authorize('update', $plan);
        $user = $request->user() ?? abort(401);
        $keys = array_values(array_filter((array) $request->input('keys'), \is_string(...)));
        $comparison = $this->comparison($request, $plan, true);
        $operation = Acceptance::of($comparison, $keys, $this->ids);
        $count = \count($keys);
        $this->store->insist($plan, $user, $this->store->change($operation, says: $count === 1 ? 'took in a change from a draft' : "took in {$count} changes from a draft"));
        $this->waiting->forget($user, $this->token($request));

        return response()->json(['address' => route('plan', $plan)]);
    }

    private function token(Request $request): string
    {
        $token = $request->input('token');

        return \is_string($token) ? $token : '';
    }

    /** @throws Unreadable */
    private function comparison(Request $request, Plan $plan, bool $keeps): Comparison
    {
        $found = $this->waiting->find($request->user() ?? abort(401), $this->token($request)) ?? throw Unreadable::gone();
        $format = Format::ofPath($found['name']);
        $read = $this->intakes->readWithPictures($plan, fopen($found['path'], 'r') ?: throw Unreadable::gone(), $format, new Options('', firstIsTitle: $format === Format::Markdown || $format === Format::Package, references: false), $keeps);

        // The plan as it was when the draft was made, where the draft is one of this plan.
        $then = $read->origin?->plan === $plan->id && $read->origin->revision <= $plan->revision ? $this->snapshots->at($plan, $read->origin->revision) : null;

        return Comparison::of($this->store->load($plan, true), $read->plan, $read->came, $then, $read->typed, $then === null ? null : $read->origin);
    }
}
