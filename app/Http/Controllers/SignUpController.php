<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\SignUpRequest;
use App\Models\User;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\Auth;

final class SignUpController
{
    public function create(): View
    {
        return view('auth.sign-up');
    }

    public function store(SignUpRequest $request): RedirectResponse
    {
        Auth::login(User::query()->create($request->account()), true);
        $request->session()->regenerate();

        return redirect()->route('plans');
    }
}
