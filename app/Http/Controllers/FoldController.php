<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Plan;
use App\Store\PersonalState;
use Embrel\Id\Ulid;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

/** Which topics a person keeps folded: their own, never an operation. */
final class FoldController
{
    public function __invoke(Request $request, Plan $plan, PersonalState $personal): Response
    {
        Gate::authorize('view', $plan);
        $given = $request->validate(['folded' => ['present', 'array', 'max:50000'], 'folded.*' => ['string', 'size:26']])['folded'];
        $personal->fold($request->user() ?? abort(401), $plan, array_values(array_filter($given, Ulid::isValid(...))));

        return response()->noContent();
    }
}
