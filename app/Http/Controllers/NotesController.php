<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Models\Plan;
use App\Store\PlanStore;
use Embrel\Draft\Printed;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Plan as CorePlan;
use Embrel\Writer\Html\HtmlWriter;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** All notes as they print, for reading through. */
final class NotesController
{
    /** `only`: topics, apart by commas; without it all. */
    public function __invoke(Request $request, Plan $plan, PlanStore $store): JsonResponse
    {
        $only = Given::text($request, 'only');
        $wanted = $only === '' ? null : array_flip(explode(',', $only));
        $tree = $store->load($plan, true);
        $topics = [CorePlan::ROOT, ...$tree->standing()];
        $printed = Printed::of($tree, Numbering::of($tree), $topics, []);
        $writer = new HtmlWriter(address: static fn(string $id): string => route('plan.picture', [$plan, $id]));
        $notes = [];
        foreach ($wanted === null ? $topics : array_filter($topics, static fn(string $id): bool => isset($wanted[$id])) as $id) {
            $note = $tree->topic($id)->noted ? $printed->note($id, withQuestions: true) : null;
            if ($note !== null) {
                $notes[$id] = $writer->blocks($note->blocks);
            }
        }

        return response()->json(['notes' => (object) $notes]);
    }
}
