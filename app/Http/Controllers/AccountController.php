<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Access\Access;
use App\Http\Requests\AccountRequest;
use App\Models\Plan;
use App\Models\User;
use App\Store\Devices;
use App\Store\PlanStore;
use App\Store\Tasks;
use App\Store\Templates;
use App\Store\WaitingFiles;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\Rule;

final class AccountController
{
    /** What becomes of plans that others share when the account goes. */
    private const HAND_ON = 'hand-on';
    private const TAKE_ALONG = 'take-along';

    public function edit(Request $request): View
    {
        $user = $request->user() ?? abort(401);

        return view('account.edit', [
            'user' => $user,
            'zones' => \DateTimeZone::listIdentifiers(),
            'shared' => self::shared($user),
            'devices' => Devices::of($user, $request->session()->getId()),
        ]);
    }

    public function update(AccountRequest $request): RedirectResponse
    {
        $request->user()?->update($request->validated());

        return back()->with('said', 'Saved.');
    }

    public function destroy(Request $request, PlanStore $store, WaitingFiles $waiting): RedirectResponse
    {
        $user = $request->user() ?? abort(401);
        $shared = self::shared($user);
        $request->validate(
            [
                'password_to_delete' => ['bail', 'required', 'string', 'current_password'],
                'shared' => [Rule::requiredIf($shared !== []), Rule::in([self::HAND_ON, self::TAKE_ALONG])],
            ],
            [
                'password_to_delete.current_password' => 'This is not your password. Nothing was deleted.',
                'shared.required' => 'Say what becomes of the plans that others share. Nothing was deleted.',
            ],
        );
        Auth::logout();
        Devices::signOut($user, $request->session()->getId());
        if ($request->input('shared') === self::HAND_ON) {
            foreach ($shared as [$plan, $heir]) {
                Access::handOn($plan, $heir);
            }
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
            ->with('said', $request->input('shared') === self::HAND_ON ? 'Your account is deleted. The plans that others share are theirs.' : $said);
    }

    /** @return list<array{Plan, User}> plans that others share, each with whom it would go to */
    private static function shared(User $user): array
    {
        $shared = [];
        foreach ($user->plans()->whereHas('shares')->get() as $plan) {
            $heir = Access::heir($plan);
            if ($heir !== null) {
                $shared[] = [$plan, $heir];
            }
        }

        return $shared;
    }
}
