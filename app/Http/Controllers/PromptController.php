<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Models\Plan;
use App\Rules\Id;
use App\Store\NearBy;
use App\Store\PlanPrompts;
use App\Store\PlanStore;
use Embrel\Plan\Plan as CorePlan;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What is offered beside a plan, made of what stands in it and in others: nothing of it is kept before somebody takes it. */
final class PromptController
{
    /** In words: what a branch can be told in. */
    private const SHORTEST = 20;
    private const LONGEST = 2_000;

    public function __construct(private readonly PlanStore $store) {}

    public function near(Request $request, Plan $plan): JsonResponse
    {
        $given = $request->validate(['topic' => ['required', new Id()], 'marked' => ['nullable', 'string', 'max:10000']]);
        $tree = $this->store->load($plan);

        return response()->json(
            NearBy::of(Given::person($request), $plan, $tree, self::topic($tree, $given['topic']), $given['marked'] ?? ''),
        );
    }

    public function alike(Plan $plan): JsonResponse
    {
        return response()->json(NearBy::alike($plan, $this->store->load($plan)));
    }

    public function terms(Request $request, Plan $plan): JsonResponse
    {
        $tree = $this->store->load($plan);

        return response()->json((new PlanPrompts($plan, $tree))->terms(self::topic($tree, Given::text($request, 'topic'))));
    }

    public function shorter(Request $request, Plan $plan): JsonResponse
    {
        $tree = $this->store->load($plan);
        $words = max(self::SHORTEST, min(self::LONGEST, $request->integer('words', 100)));

        return response()->json((new PlanPrompts($plan, $tree))->shorter(self::topic($tree, Given::text($request, 'topic')), $words));
    }

    public function firstDraft(Request $request, Plan $plan): JsonResponse
    {
        $tree = $this->store->load($plan);
        $branch = self::topic($tree, Given::text($request, 'topic'));

        return response()->json((new PlanPrompts($plan, $tree))->firstDraft($branch, Given::text($request, 'section')));
    }

    /** One that is there; none given: the plan. */
    private static function topic(CorePlan $tree, string $topic): string
    {
        $topic = $topic === '' ? CorePlan::ROOT : $topic;

        return $tree->has($topic) && $tree->isLive($topic) && $topic !== CorePlan::TRAY ? $topic : abort(404);
    }
}
