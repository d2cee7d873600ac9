<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Http\Requests\PresentRequest;
use App\Models\Plan;
use App\Store\PersonalState;
use App\Store\PlanStore;
use App\Store\Showings;
use App\Store\ShowView;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Shows a plan to an audience, section by section or on its map. */
final class PresentController
{
    public function __construct(private readonly PlanStore $store) {}

    public function show(Request $request, Plan $plan): View
    {
        $show = $this->view($request, $plan);

        return view('present.show', [
            'plan' => $plan,
            'deck' => $show->deck(true),
            'sections' => $show->sections(),
            'labels' => array_map(strval(...), array_keys($plan->properties()->labels)),
            'user' => Given::person($request)->id,
        ]);
    }

    /** The window in which the speaker sees what comes next, and what is to be said. */
    public function speaker(Request $request, Plan $plan): View
    {
        return view('present.speaker', [
            'plan' => $plan,
            'deck' => $this->view($request, $plan)->deck(true),
            'user' => Given::person($request)->id,
        ]);
    }

    public function deck(Request $request, Plan $plan): JsonResponse
    {
        return response()->json($this->view($request, $plan)->deck(true));
    }

    public function keep(PresentRequest $request, Plan $plan, PersonalState $personal): JsonResponse
    {
        $personal->keepPresent(Given::person($request), $plan, $request->choices());

        return $this->deck($request, $plan);
    }

    public function map(Request $request, Plan $plan): JsonResponse
    {
        return response()->json($this->view($request, $plan)->map());
    }

    /** Tells the screens on other machines where the speaker is. */
    public function move(Request $request, Plan $plan): JsonResponse
    {
        $given = $request->validate([
            'at' => ['required', 'integer', 'between:0,10000'],
            'stop' => ['required', 'integer', 'between:0,10000'],
            'dark' => ['required', 'boolean'],
            'map' => ['required', 'boolean'],
        ]);
        $at = [
            'at' => (int) $given['at'],
            'stop' => (int) $given['stop'],
            'dark' => (bool) $given['dark'],
            'map' => (bool) $given['map'],
        ];

        return response()->json(['followed' => Showings::move($plan, Given::person($request), $at)]);
    }

    public function link(Request $request, Plan $plan): JsonResponse
    {
        return response()->json(['address' => Showings::begin($plan, Given::person($request))]);
    }

    public function unlink(Request $request, Plan $plan): Response
    {
        Showings::end($plan, Given::person($request));

        return response()->noContent();
    }

    private function view(Request $request, Plan $plan): ShowView
    {
        return new ShowView($plan, Given::person($request), $this->store);
    }
}
