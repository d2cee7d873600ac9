<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Plan;
use App\Store\PlanNotes;
use Embrel\Operation\EditNote;
use Illuminate\Http\JsonResponse;

/** The note on a topic, with the fingerprint of each block as it stands now. */
final class NoteController
{
    public function __invoke(Plan $plan, string $topic): JsonResponse
    {
        [$note, $revision] = PlanNotes::of($plan, $topic) ?? abort(404);

        return response()->json(
            ['topic' => $topic]
                + PlanNotes::told($plan, $note, $revision)
                + ['seen' => (object) array_map(EditNote::fingerprint(...), $note->blocks)],
        );
    }
}
