<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Http\Requests\KeepPatternRequest;
use App\Http\Requests\SetPatternRequest;
use App\Models\Plan;
use App\Models\PlanPattern;
use App\Store\Change;
use App\Store\News;
use App\Store\Patterns;
use App\Store\PlanStore;
use Embrel\Id\Ids;
use Embrel\Intake\OwnPattern;
use Embrel\Operation\OperationRefused;
use Embrel\Plan\InvalidValue;
use Embrel\Plan\Place;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Patterns: kept of a plan or a branch, seen before one is chosen, set under a topic, removed. */
final class PatternController
{
    public function __construct(private readonly Patterns $patterns, private readonly PlanStore $store) {}

    public function index(Request $request): JsonResponse
    {
        $all = $this->patterns->all(Given::person($request));
        $told = array_map(static fn(array $one): array => ['id' => $one['id'], 'name' => $one['name'], 'own' => $one['own']], $all);

        return response()->json(['patterns' => $told, 'choices' => view('plans.pattern-choices', ['patterns' => $all])->render()]);
    }

    public function store(KeepPatternRequest $request, Plan $plan): JsonResponse
    {
        try {
            $whole = $this->store->load($plan, true);
            $whole->isLive($request->from()) || abort(404);
            $kept = $this->patterns->keep(
                Given::person($request),
                OwnPattern::of($whole, $request->from(), $request->name(), $request->boolean('notes'), $request->boolean('targets')),
            );
        } catch (InvalidValue|\DomainException $why) {
            return response()->json(['message' => $why->getMessage()], 422);
        }

        return response()->json(['id' => $kept->id, 'name' => $kept->name]);
    }

    /** Sets a pattern under a topic of a plan. */
    public function set(SetPatternRequest $request, Plan $plan, Ids $ids): JsonResponse
    {
        $user = Given::person($request);
        $pattern = $this->patterns->find($user, $request->pattern()) ?? abort(404);
        $tree = $this->store->load($plan);
        $tree->isLive($request->under()) || abort(404);
        $add = OwnPattern::added($pattern, Place::lastIn($tree, $request->under()), $ids);
        try {
            $outcome = $this->store->insist($plan, $user, new Change($request->change(), $request->change(), $add));
        } catch (OperationRefused $why) {
            return response()->json(['message' => $why->getMessage()], 409);
        }

        return response()->json(['first' => $add->rows[0]['topic']->id] + News::of($plan, $user, $request->integer('base'), $outcome));
    }

    public function destroy(PlanPattern $pattern): RedirectResponse
    {
        $pattern->delete();

        return redirect()->route('plans')->with('said', "The pattern “{$pattern->name}” is removed.");
    }
}
