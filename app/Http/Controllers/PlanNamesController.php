<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Store\PlanList;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Names of a person's plans, the newest first: for taking branches from one to another. */
final class PlanNamesController
{
    public function __invoke(Request $request, PlanList $list): JsonResponse
    {
        $plans = [];
        foreach ($list->names(Given::person($request)) as $id => $title) {
            $plans[] = ['id' => $id, 'title' => $title];
        }

        return response()->json(['plans' => $plans]);
    }
}
