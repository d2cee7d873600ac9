<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Plan;
use App\Rules\Id;
use App\Store\PlanStore;
use Embrel\Id\Ids;
use Embrel\Numbering\Numbering;
use Embrel\Operation\AddTopics;
use Embrel\Operation\MoveTopics;
use Embrel\Plan\Place;
use Embrel\Plan\Plan as CorePlan;
use Embrel\Plan\Topic;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The number that a topic, new or moved, would get at a place. */
final class LandingController
{
    public function __invoke(Request $request, Plan $plan, PlanStore $store, Ids $ids): JsonResponse
    {
        $id = new Id();
        $given = $request->validate(['parent' => ['required', $id], 'after' => ['nullable', $id], 'topic' => ['nullable', $id]]);
        $tree = $store->load($plan);
        $place = new Place($given['parent'], $given['after'] ?? null);
        $topic = $given['topic'] ?? $ids->next();
        $operation = isset($given['topic']) ? new MoveTopics([$topic], $place) : AddTopics::one(new Topic($topic), $place);
        $next = $operation->apply($tree);

        return response()->json(['number' => $next->home($topic) === CorePlan::ROOT ? Numbering::of($next)->own($topic) : '']);
    }
}
