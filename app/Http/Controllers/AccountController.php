<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\AccountRequest;
use App\Store\Devices;
use App\Store\PlanStore;
use App\Store\Tasks;
use App\Store\WaitingFiles;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

final class AccountController
{
    public function edit(Request $request): View
    {
        return view('account.edit', [
            'user' => $request->user(), 'zones' => \DateTimeZone::listIdentifiers(),
            'devices' => Devices::of($request->user() ?? abort(401), $request->session()->getId()),
        ]);
    }

    public function update(AccountRequest $request): RedirectResponse
    {
        $request->user()?->update($request->validated());

        return back()->with('said', 'Saved.');
    }

    public function destroy(Request $request, PlanStore $store, WaitingFiles $waiting): RedirectResponse
    {
        $request->validate(
            ['password_to_delete' => ['bail', 'required', 'string', 'current_password']],
            ['password_to_delete.current_password' => 'This is not your password. Nothing was deleted.'],
        );
        $user = $request->user();
        Auth::logout();
        if ($user !== null) {
            Devices::signOut($user, $request->session()->getId());
            $user->allPlans()->get()->each($store->erase(...));
            $waiting->forgetAll($user);
            Tasks::forgetAll($user);
            $user->delete();
        }
        $request->session()->invalidate();

        return redirect()->route('welcome')->with('said', 'Your account and all its plans are deleted.');
    }
}
