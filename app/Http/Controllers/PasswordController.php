<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rules\Password;

final class PasswordController
{
    public function __invoke(Request $request): RedirectResponse
    {
        $request->validate(
            ['current_password' => ['required', 'current_password'], 'password' => ['required', Password::defaults()]],
            ['current_password.current_password' => 'This is not your password.'],
        );
        $request->user()?->update(['password' => $request->string('password')->toString()]);

        return back()->with('said', 'Your password is changed.');
    }
}
