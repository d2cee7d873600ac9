<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Http\Requests\StartPlanRequest;
use App\Http\Vocabulary;
use App\Models\Plan;
use App\Store\History;
use App\Store\Notices;
use App\Store\Patterns;
use App\Store\People;
use App\Store\PersonalState;
use App\Store\PlanFinder;
use App\Store\PlanList;
use App\Store\PlanOrder;
use App\Store\PlanStore;
use App\Store\PlanView;
use App\Store\Shelf;
use App\Store\UndoLog;
use App\Store\Visits;
use App\Stream\Seal;
use Embrel\Operation\Retitle;
use Embrel\Plan\Plan as CorePlan;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

final class PlanController
{
    public function __construct(private readonly PlanStore $store) {}

    public function index(Request $request, PlanList $list, PlanFinder $finder, Patterns $patterns): View
    {
        $user = Given::person($request);
        $wanted = trim(Given::text($request, 'find'));
        $order = PlanOrder::tryFrom(Given::text($request, 'order')) ?? PlanOrder::Changed;
        $shelf = Shelf::tryFrom(Given::text($request, 'shelf')) ?? Shelf::All;

        return view(
            'plans.index',
            [
                'wanted' => $wanted,
                'notices' => Notices::unseen($user),
                'patterns' => $patterns->all($user),
                'found' => $wanted === '' ? null : $finder->find($user, $wanted),
            ]
                + $list->for($user, $shelf, Given::text($request, 'subject'), Given::text($request, 'tag'), $order),
        );
    }

    /** A new plan of all that this one holds. */
    public function duplicate(Request $request, Plan $plan, History $history): RedirectResponse
    {
        $made = $history->duplicate($plan, Given::person($request));

        return redirect()->route('plans')->with('said', "“{$made->title}” was made.");
    }

    public function store(StartPlanRequest $request): RedirectResponse
    {
        return redirect()->route('plan', $this->store->create(Given::person($request), $request->plan()));
    }

    public function show(Request $request, Plan $plan, PersonalState $personal): View
    {
        return $this->page($request, $plan, $personal, 'outline');
    }

    public function gather(Request $request, Plan $plan, PersonalState $personal): View
    {
        return $this->page($request, $plan, $personal, 'gather');
    }

    public function map(Request $request, Plan $plan, PersonalState $personal): View
    {
        return $this->page($request, $plan, $personal, 'map');
    }

    public function draft(Request $request, Plan $plan, PersonalState $personal): View
    {
        return $this->page($request, $plan, $personal, 'draft');
    }

    /** The address that the draft had before. */
    public function notes(Plan $plan): RedirectResponse
    {
        return redirect()->route('plan.draft', $plan, 301);
    }

    public function sources(Request $request, Plan $plan, PersonalState $personal): View
    {
        return $this->page($request, $plan, $personal, 'sources');
    }

    public function check(Request $request, Plan $plan, PersonalState $personal): View
    {
        return $this->page($request, $plan, $personal, 'check');
    }

    public function schedule(Request $request, Plan $plan, PersonalState $personal): View
    {
        return $this->page($request, $plan, $personal, 'schedule');
    }

    public function film(Request $request, Plan $plan, PersonalState $personal): View
    {
        return $this->page($request, $plan, $personal, 'film');
    }

    public function sortingOut(Request $request, Plan $plan, PersonalState $personal): View
    {
        return $this->page($request, $plan, $personal, 'sorting-out');
    }

    /** One page holds all views, so that going from one to the other takes no time. */
    private function page(Request $request, Plan $plan, PersonalState $personal, string $view): View
    {
        $user = Given::person($request);

        return view('plans.plan', [
            'plan' => $plan,
            'view' => $view,
            'data' => PlanView::whole($plan, $this->store->load($plan)) + [
                'plan' => $plan->id,
                'view' => $view,
                'user' => $user->id,
                'can' => ['write' => Gate::allows('update', $plan), 'comment' => Gate::allows('comment', $plan)],
                'owns' => Gate::allows('manage', $plan),
                'owner' => $plan->owner->name ?? '',
                'me' => $user->name,
                'people' => array_values(array_unique(array_column(People::of($plan), 'name'))),
                'peopleRevision' => $plan->people_revision,
                'savedAt' => $plan->changed_at?->toIso8601String(),
                'fresh' => Visits::begin($user, $plan),
                'stream' => Seal::address($user, $plan),
                'pulse' => PulseController::address($user, $plan),
                'folds' => $personal->folds($user, $plan),
                'look' => $personal->look($user, $plan),
                'map' => $personal->map($user, $plan)->toArray(),
                'vocabulary' => Vocabulary::all(),
                'steps' => (new UndoLog($plan->id, $user->id))->names(),
            ],
        ]);
    }

    /** Renames it, puts it away or takes it out again. */
    public function update(Request $request, Plan $plan): RedirectResponse
    {
        $given = $request->validate(['title' => ['sometimes', 'required', 'string', 'max:1000'], 'put_away' => ['sometimes', 'boolean']]);
        if (isset($given['title'])) {
            $this->store->apply($plan, Given::person($request), [
                $this->store->change(new Retitle(CorePlan::ROOT, $given['title'])),
            ]);
        }
        if (isset($given['put_away'])) {
            Gate::authorize('manage', $plan);
            $plan->update(['put_away_at' => $request->boolean('put_away') ? now() : null]);
        }

        return back();
    }

    public function destroy(Plan $plan): RedirectResponse
    {
        $plan->delete();

        return redirect()
            ->route('plans')
            ->with('deleted', ['id' => $plan->id, 'title' => $plan->title]);
    }
}
