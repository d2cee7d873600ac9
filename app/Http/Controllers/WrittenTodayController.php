<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Models\Plan;
use App\Store\WrittenWords;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The words that a person has written in a plan today, by their own day. */
final class WrittenTodayController
{
    public function __invoke(Request $request, Plan $plan): JsonResponse
    {
        return response()->json(WrittenWords::today($plan, Given::person($request)));
    }
}
