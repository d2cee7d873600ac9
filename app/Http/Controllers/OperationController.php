<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Http\Requests\MapRequest;
use App\Http\Requests\OperationsRequest;
use App\Models\Plan;
use App\Store\News;
use App\Store\PlanStore;
use Embrel\RichText\Text;
use Illuminate\Http\JsonResponse;

final class OperationController
{
    public function __invoke(OperationsRequest $request, Plan $plan, PlanStore $store): JsonResponse
    {
        $user = Given::person($request);
        $isWholeAsked = $request->json('map') !== null || $request->shown() !== [];
        $outcome = $store->apply($plan, $user, $request->changes(), $isWholeAsked);

        $map = MapRequest::told($request, $outcome->after);

        $said = Text::losesIn($request->getContent())
            ? ['said' => 'Control characters, which no file could hold, were taken out of what was written.']
            : [];

        return response()->json(
            ['refused' => $outcome->refused]
                + $said
                + News::of($plan, $user, $request->base(), $outcome, $request->shown())
                + ($map === null ? [] : ['map' => $map]),
        );
    }
}
