<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Models\Plan;
use App\Store\PersonalState;
use Embrel\Pace\WritingDays;
use Embrel\Plan\InvalidValue;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Keeps on which days a person writes in a plan. */
final class WritingDaysController
{
    public function __invoke(Request $request, Plan $plan, PersonalState $personal): JsonResponse|Response
    {
        $given = $request->json()->all();
        try {
            [$weekdays, $off] = [$given['weekdays'] ?? null, $given['off'] ?? []];
            $days = WritingDays::of(
                \is_array($weekdays) ? $weekdays : throw InvalidValue::field('weekdays', ''),
                \is_array($off) ? $off : throw InvalidValue::field('off', ''),
            );
        } catch (InvalidValue $why) {
            return response()->json(['message' => $why->getMessage()], 422);
        }
        $personal->keepWritingDays(Given::person($request), $plan, $days);

        return response()->noContent();
    }
}
