<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Store\Styles;
use Embrel\Document\Style;
use Embrel\MalformedShape;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** The styles of drafts that a person keeps. */
final class StyleController
{
    public function index(Request $request): JsonResponse
    {
        return response()->json(Styles::all(Given::person($request)));
    }

    public function store(Request $request): JsonResponse
    {
        $settings = $request->json()->all()['settings'] ?? null;
        try {
            $id = Styles::keep(Given::person($request), Style::of(\is_array($settings) ? $settings : []));
        } catch (MalformedShape|\DomainException $why) {
            return response()->json(['message' => $why->getMessage()], 422);
        }

        return response()->json(['id' => $id]);
    }

    /** One's own; of another's nothing is said, and nothing happens. */
    public function destroy(Request $request, string $style): Response
    {
        Styles::forget(Given::person($request), $style);

        return response()->noContent();
    }
}
