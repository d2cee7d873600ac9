<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Http\Requests\CopyRequest;
use App\Models\Plan;
use App\Store\BranchCopy;
use App\Store\Change;
use App\Store\News;
use App\Store\PlanPictures;
use App\Store\PlanRows;
use App\Store\PlanSources;
use App\Store\PlanStore;
use App\Store\Transaction;
use Embrel\Operation\RemoveTopics;
use Embrel\Plan\Place;
use Illuminate\Http\JsonResponse;

/** Brings branches of another plan into this one, or the whole of it as a branch; `move` takes them out of there. */
final class CopyController
{
    public function __invoke(CopyRequest $request, Plan $plan, PlanStore $store, BranchCopy $copy): JsonResponse
    {
        $user = Given::person($request);
        $from = $request->from();
        $topics = $request->topics();
        $add = $copy->of($from, $topics, $request->place() ?? Place::lastIn($store->load($plan), $request->parent()));
        // Before anything is locked: bytes may take their time, and pictures that nothing shows do no harm.
        (new PlanPictures($plan->id))->takeOver($from->id, array_column($add->rows, 'topic'));
        $outcome = Transaction::of(static function () use ($request, $store, $plan, $from, $user, $topics, $add) {
            $change = new Change($request->change(), $request->change(), PlanSources::along($plan, PlanRows::sources($from->id), $add));
            $outcome = $store->insist($plan, $user, $change);
            if ($request->moves() && $topics !== [] && $outcome->says !== null) {
                $store->insist($from, $user, $store->change(new RemoveTopics($topics)));
            }

            return $outcome;
        });

        return response()->json(
            ['first' => $add->rows[0]['topic']->id, 'copied' => \count($add->rows)]
                + News::of($plan, $user, $request->base(), $outcome),
        );
    }
}
