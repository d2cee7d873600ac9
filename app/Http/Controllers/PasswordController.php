<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Http\Requests\ChangePasswordRequest;
use App\Store\Devices;
use Illuminate\Http\RedirectResponse;

final class PasswordController
{
    public function __invoke(ChangePasswordRequest $request): RedirectResponse
    {
        $user = Given::person($request);
        $user->update(['password' => $request->string('password')->toString()]);
        $request->session()->regenerate();
        Devices::signOut($user, $request->session()->getId());

        return back()->with('said', 'Your password is changed. Every other device is signed out.');
    }
}
