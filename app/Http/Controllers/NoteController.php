<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Plan;
use App\Store\PlanSources;
use Embrel\Operation\EditNote;
use Embrel\RichText\Node;
use Embrel\RichText\Note;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;

/** The note on a topic, with the fingerprint of each block as it stands now. */
final class NoteController
{
    public function __invoke(Plan $plan, string $topic): JsonResponse
    {
        Gate::authorize('view', $plan);
        $row
            = DB::table('topics')
                ->leftJoin('notes', static fn($join) => $join->on('notes.plan_id', 'topics.plan_id')->on('notes.topic_id', 'topics.id'))
                ->where('topics.plan_id', $plan->id)
                ->where('topics.id', $topic)
                ->whereNull('removed_at')
                ->first(['topics.id', 'body', 'revision']) ?? abort(404);
        $note = $row->body === null ? Note::empty() : Note::fromJson($row->body);

        return response()->json([
            'topic' => $row->id,
            'revision' => $row->revision,
            'blocks' => array_map(static fn(Node $block): array => $block->toArray(), array_values($note->blocks)),
            'labels' => (object) PlanSources::called($plan, $note),
            'seen' => (object) array_map(EditNote::fingerprint(...), $note->blocks),
        ]);
    }
}
