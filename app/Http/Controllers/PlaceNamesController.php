<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Plan;
use App\Store\PlanStore;
use Embrel\Numbering\Numbering;
use Illuminate\Http\JsonResponse;

/** The topics of a plan by number and title, in reading order: for choosing below which of them something comes. */
final class PlaceNamesController
{
    public function __invoke(Plan $plan, PlanStore $store): JsonResponse
    {
        $tree = $store->load($plan);
        $numbering = Numbering::of($tree);
        $places = [];
        foreach ($tree->walk() as $id => $level) {
            $title = $tree->topic($id)->title;
            $places[] = [
                'id' => $id,
                'level' => $level,
                'name' => trim($numbering->own($id) . ' ' . ($title === '' ? 'Untitled' : $title)),
            ];
        }

        return response()->json(['places' => $places]);
    }
}
