<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Http\Requests\HandOverRequest;
use App\Models\Plan;
use App\Models\Sending;
use App\Rules\Address;
use App\Store\Sendings;
use App\Store\TooMuch;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Hands a plan over by mail, and tells what was sent. */
final class SendingController
{
    public function index(Request $request, Plan $plan): JsonResponse
    {
        return response()->json(['sendings' => Sendings::of($plan, Given::person($request))]);
    }

    public function store(HandOverRequest $request, Plan $plan, Sendings $sendings): JsonResponse
    {
        $given = $request->validate([
            'addresses' => ['required', 'string', 'max:4000'],
            'line' => ['nullable', 'string', 'max:1000'],
            'as_link' => ['required', 'boolean'],
            'days' => ['required', 'integer', 'between:1,' . Sendings::DAYS],
        ], ['addresses.required' => 'Say to whom.', 'line.max' => 'A line of your own has 1,000 characters at most.']);
        $addresses = array_values(array_unique(array_map(
            Address::spelt(...),
            preg_split('/[\s,;]+/', $given['addresses'], -1, PREG_SPLIT_NO_EMPTY) ?: [],
        )));
        foreach ($addresses as $address) {
            if (filter_var($address, FILTER_VALIDATE_EMAIL) === false) {
                return response()->json(['message' => "“{$address}” is not an e-mail address."], 422);
            }
        }
        if ($addresses === [] || \count($addresses) > Sendings::ADDRESSES) {
            $says = $addresses === [] ? 'Say to whom.' : 'To ' . Sendings::ADDRESSES . ' addresses at once, at most.';

            return response()->json(['message' => $says], 422);
        }
        try {
            $sendings->start(
                $plan,
                Given::person($request),
                $addresses,
                trim((string) ($given['line'] ?? '')),
                $request->validated(),
                (bool) $given['as_link'],
                (int) $given['days'],
            );
        } catch (TooMuch $why) {
            return response()->json(['message' => $why->getMessage()], 429);
        }

        return $this->index($request, $plan);
    }

    /** Its link leads nowhere any more. */
    public function destroy(Request $request, Plan $plan, Sending $sending): JsonResponse
    {
        abort_unless($sending->plan_id === $plan->id && $sending->user_id === Given::person($request)->id, 404);
        Sendings::forget($sending);

        return $this->index($request, $plan);
    }
}
