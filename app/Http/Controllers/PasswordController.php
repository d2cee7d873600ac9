<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Store\Devices;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rules\Password;

final class PasswordController
{
    public function __invoke(Request $request): RedirectResponse
    {
        $request->validate(
            [
                'current_password' => ['bail', 'required', 'string', 'current_password'],
                'password' => ['bail', 'required', 'string', 'max:200', Password::defaults()],
            ],
            ['current_password.current_password' => 'This is not your password.'],
        );
        $user = $request->user() ?? abort(401);
        $user->update(['password' => $request->string('password')->toString()]);
        $request->session()->regenerate();
        Devices::signOut($user, $request->session()->getId());

        return back()->with('said', 'Your password is changed. Every other device is signed out.');
    }
}
