<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Plan;
use App\Store\PlanStore;
use Embrel\Draft\Printed;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Plan as CorePlan;
use Embrel\Writer\Html\HtmlWriter;
use Illuminate\Http\JsonResponse;

/** All notes as they print, for reading through. */
final class NotesController
{
    public function __invoke(Plan $plan, PlanStore $store): JsonResponse
    {
        $tree = $store->load($plan, true);
        $topics = [CorePlan::ROOT, ...$tree->standing()];
        $printed = Printed::of($tree, Numbering::of($tree), $topics, []);
        $writer = new HtmlWriter(address: static fn(string $id): string => route('plan.picture', [$plan, $id]));
        $notes = [];
        foreach ($topics as $id) {
            $note = $tree->topic($id)->noted ? $printed->note($id) : null;
            if ($note !== null) {
                $notes[$id] = $writer->blocks($note->blocks);
            }
        }

        return response()->json(['notes' => (object) $notes]);
    }
}
