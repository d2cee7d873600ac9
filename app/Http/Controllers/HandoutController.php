<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Models\Plan;
use App\Store\Handouts;
use App\Store\Invitations;
use App\Store\NotThere;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/** A plan as a model for many: given out as copies, and how far each is. */
final class HandoutController
{
    public function show(Request $request, Plan $plan): View
    {
        $zone = $request->user()->time_zone ?? 'UTC';

        return view('plans.handouts', [
            'plan' => $plan,
            'copies' => Handouts::copies($plan),
            'waiting' => Invitations::waiting($plan, $zone, true),
            'zone' => $zone,
            'links' => $request->session()->get('links', []),
        ]);
    }

    public function store(Request $request, Plan $plan, Handouts $handouts): RedirectResponse
    {
        [$emails, $bad] = Handouts::addresses(Given::text($request, 'emails'));
        if ($bad !== []) {
            throw ValidationException::withMessages(['emails' => "“{$bad[0]}” is no e-mail address. Nothing was given out yet."]);
        }
        if ($emails === [] || \count($emails) > Handouts::AT_ONCE) {
            throw ValidationException::withMessages([
                'emails' => $emails === [] ? 'Type one e-mail address at least.' : 'These are more than ' . Handouts::AT_ONCE . ' at once.',
            ]);
        }
        $given = $handouts->give($plan, Given::person($request), $emails);
        $count = \count($given['links']);
        $said = $count === 1 ? 'One letter is on its way.' : "{$count} letters are on their way.";

        return redirect()->route('plan.handouts', $plan)
            ->with('said', implode(' ', [$said, ...$given['refused']]))
            ->with('links', app()->isLocal() ? $given['links'] : []);
    }

    public function takeBack(Plan $plan, string $invitation): RedirectResponse
    {
        $plan->invitations()->where('id', $invitation)->where('hands_out', true)->delete() > 0 || throw new NotThere();

        return redirect()->route('plan.handouts', $plan)->with('said', 'It was taken back.');
    }
}
