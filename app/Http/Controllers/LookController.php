<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Models\Plan;
use App\Rules\Id;
use App\Store\PersonalState;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** On which branch a person looks, and whether the rest is dimmed: their own, never an operation. */
final class LookController
{
    public function __invoke(Request $request, Plan $plan, PersonalState $personal): Response
    {
        $given = $request->validate(['focus' => ['nullable', new Id()], 'dimmed' => ['required', 'boolean']]);
        $personal->keepLook(Given::person($request), $plan, $given['focus'] ?? null, $request->boolean('dimmed'));

        return response()->noContent();
    }
}
