<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Models\Plan;
use App\Rules\ListOf;
use App\Store\PersonalState;
use Embrel\Limits;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Which topics a person keeps folded: their own, never an operation. */
final class FoldController
{
    public function __invoke(Request $request, Plan $plan, PersonalState $personal): Response
    {
        $given = $request->validate(['folded' => ['present', ListOf::ids(Limits::TOPICS)]])['folded'];
        $personal->fold(Given::person($request), $plan, $given);

        return response()->noContent();
    }
}
