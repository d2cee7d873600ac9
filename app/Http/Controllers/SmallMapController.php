<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Plan;
use App\Store\PlanStore;
use Embrel\Draft\Choices;
use Embrel\Draft\MapChoices;
use Embrel\Plan\Plan as CorePlan;
use Embrel\Writer\MapDrawing;
use Embrel\Writer\Svg\SvgWriter;
use Illuminate\Http\Response;

/** The map of a plan down to its second level, as it is shown beside the plan in the list. */
final class SmallMapController
{
    private const MOST = 120;

    public function __invoke(Plan $plan, PlanStore $store): Response
    {
        $tree = $store->load($plan);
        $sections = $tree->parts(CorePlan::ROOT);
        $folded = array_merge(...array_map($tree->parts(...), $sections));
        // What is too much for a glance is told by its main sections.
        $folded = \count($folded) > self::MOST ? $sections : $folded;
        $drawing = new MapDrawing($tree, new Choices(map: new MapChoices(folded: $folded, ground: false)));

        return response(SvgWriter::element($drawing, 'small-map'), 200, ['Content-Type' => 'image/svg+xml']);
    }
}
