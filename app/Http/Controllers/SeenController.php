<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Models\Plan;
use App\Rules\ListOf;
use App\Store\Visits;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** What of what is new a person has come to. */
final class SeenController
{
    private const AT_ONCE = 1000;

    public function __invoke(Request $request, Plan $plan): Response
    {
        $user = Given::person($request);
        $given = $request->validate([
            'topics' => ['sometimes', 'array', 'max:' . self::AT_ONCE, ListOf::ids(self::AT_ONCE)],
            'upTo' => ['sometimes', 'integer', 'min:1'],
            'talk' => ['sometimes', 'boolean'],
        ]);
        if (isset($given['topics']) || isset($given['upTo'])) {
            Visits::saw($user, $plan, array_values($given['topics'] ?? []), isset($given['upTo']) ? (int) $given['upTo'] : null);
        }
        if ($request->boolean('talk')) {
            Visits::heard($user, $plan);
        }

        return response()->noContent();
    }
}
