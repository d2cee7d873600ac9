<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Models\Plan;
use App\Store\History;
use App\Store\MapView;
use App\Store\PersonalState;
use App\Store\PlanFilm;
use App\Store\PlanStore;
use App\Store\Sight;
use App\Store\Visits;
use Embrel\Film\Sides;
use Embrel\Plan\Plan as CorePlan;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What happened in a plan: played as a film, two moments side by side, and who did what. */
final class FilmController
{
    /** Points that are asked for at once. */
    private const MOST = 500;
    /** Topics that are shown side by side. */
    private const SHOWN = 300;

    public function __construct(private readonly PlanFilm $film, private readonly History $history) {}

    public function steps(Request $request, Plan $plan): JsonResponse
    {
        $since = Visits::begin(Given::person($request), $plan)['since'];

        return response()->json(['steps' => $this->film->steps($plan), 'since' => $since]);
    }

    public function frames(Request $request, Plan $plan): JsonResponse
    {
        $given = $request->validate(['points' => ['required', 'string', 'max:8000', 'regex:/\A[0-9]{1,12}(,[0-9]{1,12})*\z/']]);
        $points = array_map(intval(...), explode(',', $given['points']));
        abort_if(\count($points) > self::MOST || $points !== array_values(array_unique($points)), 422);
        sort($points);

        return response()->json($this->film->frames($plan, $points));
    }

    public function map(Request $request, Plan $plan, int $seq, PersonalState $personal): JsonResponse
    {
        $was = $this->history->at($plan, $seq);

        return response()->json(MapView::of(
            Sight::of($was),
            $personal->map(Given::person($request), $plan),
            relations: $was->relations,
        ));
    }

    /** Two moments side by side, with the words marked that went and came. */
    public function sides(Request $request, Plan $plan): View
    {
        $given = $request->validate(['from' => ['required', 'integer', 'min:1'], 'to' => ['nullable', 'integer', 'min:1']]);
        [$from, $to] = [(int) $given['from'], (int) ($given['to'] ?? $plan->revision)];
        $sides = Sides::of($this->history->at($plan, $from), $this->history->at($plan, $to));
        $zone = $request->user()->time_zone ?? 'UTC';

        return view('plans.sides', [
            'plan' => $plan,
            'sides' => \array_slice($sides, 0, self::SHOWN),
            'count' => \count($sides),
            'from' => $from,
            'to' => $to,
            'times' => array_map(fn(int $seq): string => $this->history->time($plan, $seq)->setTimezone($zone)->format('j F Y, H:i'), [$from, $to]),
            'versions' => $this->history->versions($plan),
            'points' => $this->points($plan, $zone),
        ]);
    }

    /** @return array<int, string> moments that can be compared: kept versions, then steps, the newest first */
    private function points(Plan $plan, string $zone): array
    {
        $points = array_map(static fn(string $name): string => "“{$name}”", $this->history->versions($plan));
        foreach ($this->history->steps($plan) as $step) {
            $says = mb_strimwidth($step['says'], 0, 60, '…');
            $points += [$step['seq'] => "{$step['at']->copy()->setTimezone($zone)->format('j F, H:i')}: {$says}"];
        }

        return $points;
    }

    /** Who did what, for the owner. */
    public function work(Request $request, Plan $plan, PlanStore $store): View
    {
        $tree = $store->load($plan);

        return view('plans.work', [
            'plan' => $plan,
            'people' => $this->film->work($plan),
            'zone' => $request->user()->time_zone ?? 'UTC',
            'named' => static fn(string $id): string => match (true) {
                $id === CorePlan::ROOT => 'Opening note',
                $id === CorePlan::TRAY => 'Loose ideas',
                $tree->has($id) => $tree->topic($id)->title ?: 'Untitled',
                default => 'What was removed',
            },
        ]);
    }
}
