<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Models\Plan;
use App\Store\History;
use App\Store\Visits;
use Embrel\Draft\Choices;
use Embrel\Draft\Draft;
use Embrel\Draft\DraftChoices;
use Embrel\Plan\Plan as CorePlan;
use Embrel\Writer\Html\HtmlWriter;
use Embrel\Writer\Losses;
use Illuminate\Contracts\View\View;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** The changes of a plan, its kept versions, and the ways back. */
final class HistoryController
{
    public function __construct(private readonly History $history) {}

    public function index(Request $request, Plan $plan): View
    {
        $before = $request->integer('before', PHP_INT_MAX);
        $user = Given::person($request);
        $steps = $this->history->steps($plan, $before);
        $versions = $this->history->versions($plan);

        return view('plans.history', [
            'plan' => $plan,
            'steps' => $steps,
            'versions' => $versions,
            'since' => Visits::begin($user, $plan)['since'],
            'zone' => $user->time_zone,
            'isFirstPage' => $before === PHP_INT_MAX,
        ]);
    }

    /** What was done between two points, to be played back. */
    public function steps(Request $request, Plan $plan): JsonResponse
    {
        $given = $request->validate(['from' => ['required', 'integer', 'min:1'], 'to' => ['required', 'integer', 'gte:from']]);

        return response()->json($this->history->played($plan, (int) $given['from'], (int) $given['to']));
    }

    /** The plan as it was, to read. */
    public function show(Request $request, Plan $plan, int $seq): View
    {
        $was = $this->history->at($plan, $seq);
        $document = Draft::of($was, new Choices(draft: new DraftChoices(contents: false)));

        return view('plans.version', [
            'plan' => $plan,
            'seq' => $seq,
            'document' => $document,
            'body' => (new HtmlWriter(new Losses()))->body($document),
            'loose' => array_map(static fn(string $id): string => $was->topic($id)->title, \array_slice($was->branch(CorePlan::TRAY), 1)),
            'name' => $this->history->versions($plan)[$seq] ?? null,
            'time' => $this->history->time($plan, $seq)->setTimezone($request->user()->time_zone ?? 'UTC'),
        ]);
    }

    /** Keeps the plan as it is now under a name. */
    public function store(Request $request, Plan $plan): RedirectResponse|JsonResponse
    {
        $name = $request->validate(
            ['name' => ['required', 'string', 'max:120']],
            ['name.required' => 'Give the version a name, so that you find it again.'],
        )['name'];
        $this->history->keepVersion($plan, $name);
        $said = "The plan as it is now is kept as “{$name}”.";

        return $request->expectsJson()
            ? response()->json(['said' => $said])
            : redirect()->route('plan.history', $plan)->with('said', $said);
    }

    /** Makes the plan what it was, as a new change. */
    public function goBack(Request $request, Plan $plan, int $seq): RedirectResponse
    {
        $this->history->goBack($plan, Given::person($request), $seq);

        return redirect()
            ->route('plan.history', $plan)
            ->with('said', 'The plan is as it was then. What came after it is still here: go back to it in the same way, or undo.');
    }

    /** Makes a new plan of what it was. */
    public function newPlan(Request $request, Plan $plan, int $seq): RedirectResponse
    {
        return redirect()->route('plan', $this->history->planOf($plan, Given::person($request), $seq));
    }
}
