<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\SignIn\Entrance;
use App\SignIn\SecondStep;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/** The second step of signing in. */
final class CodeController
{
    public function create(Request $request): View|RedirectResponse
    {
        return Entrance::waiting($request) === null ? redirect()->route('login') : view('auth.code');
    }

    public function store(Request $request): RedirectResponse
    {
        $user = Entrance::waiting($request);
        if ($user === null) {
            return redirect()->route('login')->withErrors(['email' => 'That took too long. Sign in anew.']);
        }
        if (!SecondStep::take($user, Given::text($request, 'code'))) {
            throw ValidationException::withMessages(['code' => 'This is not the code of now, or it was used. Wait for the next one, or use one on paper.']);
        }

        return Entrance::complete($request, $user);
    }
}
