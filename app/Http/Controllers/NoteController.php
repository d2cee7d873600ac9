<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Models\Plan;
use App\Store\PlanNotes;
use Embrel\Operation\EditNote;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The note on a topic, with the fingerprint of each block as it stands now. */
final class NoteController
{
    public function __invoke(Request $request, Plan $plan, string $topic): JsonResponse
    {
        [$note, $revision] = PlanNotes::of($plan, $topic) ?? abort(404);

        return response()->json(
            ['topic' => $topic]
                + PlanNotes::told($plan, $note, $revision)
                + ['by' => PlanNotes::lastWriter($plan, $topic, Given::person($request))]
                + ['seen' => (object) array_map(EditNote::fingerprint(...), $note->blocks)],
        );
    }
}
