<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Models\Plan;
use App\Rules\ListOf;
use App\Store\Votes;
use Embrel\Comment\Tally;
use Embrel\Comment\TooManySigns;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/** Votes on topics. Every answer tells how all of them stand. */
final class VoteController
{
    public function index(Request $request, Plan $plan): JsonResponse
    {
        return self::told($request, $plan);
    }

    public function store(Request $request, Plan $plan): JsonResponse
    {
        $given = $request->validate(
            [
                'question' => ['required', 'string', 'max:300'],
                'topics' => ['required', ListOf::ids(Tally::TOPICS)],
                'signs' => ['required', 'integer', 'min:1', 'max:' . Tally::SIGNS],
                'secret' => ['required', 'boolean'],
            ],
            ['question.required' => 'Say what the vote is about.'],
        );
        try {
            Votes::open($plan, $given['question'], array_values($given['topics']), (int) $given['signs'], (bool) $given['secret']);
        } catch (\DomainException $why) {
            throw ValidationException::withMessages(['topics' => $why->getMessage()]);
        }

        return self::told($request, $plan);
    }

    public function give(Request $request, Plan $plan, string $vote): JsonResponse
    {
        $given = $request->validate([
            'signs' => ['present', 'array', 'max:' . Tally::TOPICS],
            'signs.*' => ['integer', 'min:0', 'max:' . Tally::SIGNS],
        ]);
        try {
            Votes::give($plan, Given::person($request), $vote, array_map(intval(...), $given['signs']));
        } catch (TooManySigns $why) {
            throw ValidationException::withMessages(['signs' => $why->getMessage()]);
        }

        return self::told($request, $plan);
    }

    public function close(Request $request, Plan $plan, string $vote): JsonResponse
    {
        Votes::close($plan, $vote);

        return self::told($request, $plan);
    }

    public function destroy(Request $request, Plan $plan, string $vote): JsonResponse
    {
        Votes::delete($plan, $vote);

        return self::told($request, $plan);
    }

    private static function told(Request $request, Plan $plan): JsonResponse
    {
        return response()->json(['votes' => Votes::of($plan, Given::person($request))]);
    }
}
