<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Http\Requests\ResetPasswordRequest;
use App\Models\User;
use App\Rules\Address;
use App\Store\Devices;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Password;
use Illuminate\Validation\ValidationException;

/** A forgotten password: a link by mail, and a new one. Whether an address has an account is not told. */
final class PasswordResetController
{
    public function create(): View
    {
        return view('auth.forgotten');
    }

    public function store(Request $request): RedirectResponse
    {
        Address::in($request);
        $email = $request->validate(['email' => Address::RULES])['email'];
        // After the answer: how long it takes would tell whether there is such an account.
        defer(static fn() => Password::sendResetLink(['email' => $email]));

        return back()->with('said', 'If there is an account with this address, a letter with a link is on its way.');
    }

    public function edit(Request $request, string $token): View
    {
        return view('auth.reset', ['token' => $token, 'email' => Given::text($request, 'email')]);
    }

    public function update(ResetPasswordRequest $request): RedirectResponse
    {
        $status = Password::reset($request->validated(), static function (User $user, string $password): void {
            $user->forceFill(['password' => $password, 'has_password' => true])->save();
            Devices::signOut($user, '');
        });
        if ($status !== Password::PASSWORD_RESET) {
            throw ValidationException::withMessages(['email' => 'This link is not valid any more. Ask for a new one.']);
        }

        return redirect()->route('login')->with('said', 'Your password is changed. Sign in with the new one.');
    }
}
