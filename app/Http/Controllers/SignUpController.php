<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\SignUpRequest;
use App\SignIn\Entrance;
use App\Store\Accounts;
use App\Store\SignUps;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Signing up: a form, a letter, and the account that its link opens. */
final class SignUpController
{
    public function create(): View
    {
        return view(Accounts::areOpen() ? 'auth.sign-up' : 'auth.no-sign-up');
    }

    /** The same for every address; on one's own machine, which sends no letters, with the link. */
    public function store(SignUpRequest $request): View
    {
        Accounts::areOpen() || abort(404);
        $link = SignUps::begin($request->account());

        return view('auth.letter', [
            'email' => $request->string('email')->toString(),
            'hours' => SignUps::HOLDS,
            'link' => app()->isLocal() ? $link : null,
        ]);
    }

    /** Looking at it opens nothing: programs that check letters look at every link. */
    public function edit(string $token): View
    {
        return view('auth.open', ['name' => SignUps::find($token)->name ?? null, 'hours' => SignUps::HOLDS]);
    }

    public function open(Request $request, string $token): RedirectResponse
    {
        $user = SignUps::open($token);
        if ($user === null) {
            return redirect()->route('sign-up.letter', $token);
        }

        return Entrance::letIn($request, $user, $request->boolean('stay'));
    }
}
