<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Store\NumberForms;
use Embrel\MalformedShape;
use Embrel\Plan\InvalidValue;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Numberings in forms of one's own: shown while they are typed, kept under names. */
final class NumberFormController
{
    public function index(Request $request): JsonResponse
    {
        return response()->json(['kept' => NumberForms::of(Given::person($request))]);
    }

    public function preview(Request $request): JsonResponse
    {
        try {
            return response()->json(['shown' => NumberForms::shown(self::forms($request), Given::text($request, 'language') ?: 'en')]);
        } catch (InvalidValue|MalformedShape $why) {
            return response()->json(['message' => $why->getMessage()], 422);
        }
    }

    public function store(Request $request): JsonResponse
    {
        $given = $request->validate(['name' => ['required', 'string', 'max:80']], ['name.required' => 'It needs a name.']);
        try {
            NumberForms::keep(Given::person($request), trim($given['name']), self::forms($request));
        } catch (InvalidValue|MalformedShape|\DomainException $why) {
            return response()->json(['message' => $why->getMessage()], 422);
        }

        return $this->index($request);
    }

    public function destroy(Request $request): JsonResponse
    {
        NumberForms::forget(Given::person($request), Given::text($request, 'name'));

        return $this->index($request);
    }

    /** @return list<string> */
    private static function forms(Request $request): array
    {
        $given = $request->validate(['forms' => ['required', 'array', 'min:1', 'max:9'], 'forms.*' => ['string', 'max:200']]);

        return array_values(array_map(strval(...), $given['forms']));
    }
}
