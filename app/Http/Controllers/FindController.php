<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Http\Requests\FindRequest;
use App\Models\Plan;
use App\Store\News;
use App\Store\PlanSearch;
use App\Store\PlanStore;
use Embrel\Search\Hit;
use Embrel\Search\Replacement;
use Embrel\Search\Search;
use Illuminate\Http\JsonResponse;

/** Finds in titles and notes, and replaces what was found. */
final class FindController
{
    /** So many are shown; more cannot be looked through one by one. */
    private const SHOWN = 1000;

    public function show(FindRequest $request, Plan $plan): JsonResponse
    {
        $query = $request->searched();
        $tree = PlanSearch::load($plan, $query);
        $hits = Search::in($tree, $query, $request->within($tree));

        return response()->json([
            'count' => \count($hits),
            'hits' => array_map(
                static fn(Hit $hit): array => [
                    'key' => $hit->key(),
                    'topic' => $hit->topic,
                    'block' => $hit->block,
                    'line' => $hit->line,
                    'from' => $hit->from,
                    'length' => $hit->length,
                    'before' => $hit->around()[0],
                    'match' => $hit->match(),
                    'after' => $hit->around()[1],
                ],
                \array_slice($hits, 0, self::SHOWN),
            ),
        ]);
    }

    /** Replaces those hits that were chosen, by their keys, in one step. A hit that is no longer there is left out. */
    public function replace(FindRequest $request, Plan $plan, PlanStore $store): JsonResponse
    {
        $user = Given::person($request);

        return $store->locked($plan, static function () use ($request, $plan, $store, $user): JsonResponse {
            $query = $request->searched();
            $tree = PlanSearch::load($plan, $query);
            $chosen = array_flip($request->chosen());
            // A label is called otherwise in the list of labels, on all topics at once.
            $isMeant = static fn(Hit $hit): bool => $hit->block !== Hit::LABEL && isset($chosen[$hit->key()]);
            $hits = array_values(array_filter(Search::in($tree, $query, $request->within($tree)), $isMeant));
            if ($hits === []) {
                return response()->json(['message' => 'None of these places is as it was; nothing was replaced. Search again.'], 409);
            }
            $with = $request->replacement();
            $outcome = $store->insist(
                $plan,
                $user,
                $store->change(Replacement::of($tree, $hits, $with), says: Replacement::says($query, $with, \count($hits))),
            );

            return response()->json(['replaced' => \count($hits)] + News::of($plan, $user, $request->integer('base'), $outcome));
        });
    }
}
