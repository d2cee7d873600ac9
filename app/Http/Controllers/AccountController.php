<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Access\Access;
use App\Http\Given;
use App\Http\Requests\AccountRequest;
use App\Http\Requests\DeleteAccountRequest;
use App\Store\Devices;
use App\Store\PlanStore;
use App\Store\Tasks;
use App\Store\Templates;
use App\Store\WaitingFiles;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

final class AccountController
{
    public function edit(Request $request): View
    {
        $user = Given::person($request);

        return view('account.edit', [
            'user' => $user,
            'zones' => \DateTimeZone::listIdentifiers(),
            'shared' => Access::handedOnBy($user),
            'devices' => Devices::of($user, $request->session()->getId()),
        ]);
    }

    public function update(AccountRequest $request): RedirectResponse
    {
        $request->user()?->update($request->validated());

        return back()->with('said', 'Saved.');
    }

    public function destroy(DeleteAccountRequest $request, PlanStore $store, WaitingFiles $waiting): RedirectResponse
    {
        $user = Given::person($request);
        $shared = $request->handsOn() ? Access::handedOnBy($user) : [];
        Auth::logout();
        Devices::signOut($user, $request->session()->getId());
        foreach ($shared as [$plan, $heir]) {
            Access::handOn($plan, $heir);
        }
        $user->allPlans()->get()->each($store->erase(...));
        $waiting->forgetAll($user);
        Tasks::forgetAll($user);
        Templates::forgetAll($user);
        $user->delete();
        $request->session()->invalidate();
        $said = 'Your account and all its plans are deleted.';

        return redirect()
            ->route('welcome')
            ->with('said', $request->handsOn() ? 'Your account is deleted. The plans that others share are theirs.' : $said);
    }
}
