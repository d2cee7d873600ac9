<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Models\Plan;
use App\Store\News;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** What has happened since a revision; 204 when nothing has. */
final class ChangeController
{
    public function __invoke(Request $request, Plan $plan): JsonResponse|Response
    {
        $news = News::since($plan, Given::person($request), $request->integer('since'));

        return $news === null ? response()->noContent() : response()->json($news);
    }
}
