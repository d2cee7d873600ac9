<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Plan;
use App\Rules\Id;
use App\Rules\ListOf;
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
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

/** Brings branches of another plan into this one, or the whole of it as a branch; `move` takes them out of there. */
final class CopyController
{
    public function __invoke(Request $request, Plan $plan, PlanStore $store, BranchCopy $copy): JsonResponse
    {
        $user = $request->user() ?? abort(401);
        $id = new Id();
        $given = $request->validate([
            'id' => ['required', $id],
            'base' => ['required', 'integer', 'min:0'],
            'from' => ['required', $id],
            'topics' => ['present', ListOf::ids(5000)],
            'parent' => ['required', $id],
            'after' => ['nullable', $id],
            'move' => ['boolean'],
            'last' => ['boolean'],
        ]);
        $from = Plan::query()->where('id', $given['from'])->firstOrFail();
        Gate::authorize($request->boolean('move') ? 'update' : 'view', $from);
        $place = $request->boolean('last')
            ? Place::lastIn($store->load($plan), $given['parent'])
            : new Place($given['parent'], $given['after'] ?? null ?: null);
        $add = $copy->of($from, $given['topics'], $place);
        $outcome = Transaction::of(static function () use ($request, $store, $plan, $from, $user, $given, $add) {
            (new PlanPictures($plan->id))->takeOver($from->id, array_column($add->rows, 'topic'));
            $outcome = $store->insist(
                $plan,
                $user,
                new Change($given['id'], $given['id'], PlanSources::along($plan, PlanRows::sources($from->id), $add)),
            );
            if ($request->boolean('move') && $given['topics'] !== [] && $outcome->says !== null) {
                $store->insist($from, $user, $store->change(new RemoveTopics($given['topics'])));
            }

            return $outcome;
        });

        return response()->json(
            ['first' => $add->rows[0]['topic']->id, 'copied' => \count($add->rows)]
                + News::of($plan, $user, (int) $given['base'], $outcome),
        );
    }
}
