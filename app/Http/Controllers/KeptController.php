<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Plan;
use App\Store\PlanSources;
use Embrel\RichText\Node;
use Embrel\RichText\Note;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;

/**
 * The notes that have changed since a revision, for a page that keeps the plan to be read and written
 * without the network; some at a time, and with `more` where to go on.
 */
final class KeptController
{
    /** Of notes as they are stored, in bytes: so much is told at once. */
    private const AT_ONCE = 1_000_000;

    public function __invoke(Request $request, Plan $plan): JsonResponse
    {
        Gate::authorize('view', $plan);
        $given = $request->validate(['since' => ['required', 'integer', 'min:0'], 'after' => ['nullable', 'string', 'size:26']]);
        $rows = DB::table('topics')
            ->join('notes', static fn($join) => $join->on('notes.plan_id', 'topics.plan_id')->on('notes.topic_id', 'topics.id'))
            ->where('topics.plan_id', $plan->id)
            ->whereNull('removed_at')
            ->where('revision', '>', (int) $given['since'])
            ->where('topics.id', '>', (string) ($given['after'] ?? ''))
            ->orderBy('topics.id')
            ->select(['topics.id', 'body', 'revision']);
        $notes = [];
        $bytes = 0;
        $more = null;
        foreach ($rows->cursor() as $row) {
            if ($bytes > self::AT_ONCE) {
                $more = array_key_last($notes);
                break;
            }
            $bytes += \strlen($row->body);
            $note = Note::fromJson($row->body);
            $notes[$row->id] = [
                'revision' => $row->revision,
                'blocks' => array_map(static fn(Node $block): array => $block->toArray(), array_values($note->blocks)),
                'labels' => (object) PlanSources::called($plan, $note),
            ];
        }

        return response()->json(['revision' => $plan->revision, 'notes' => (object) $notes, 'more' => $more]);
    }
}
