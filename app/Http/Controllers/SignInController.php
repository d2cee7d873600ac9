<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Http\Requests\SignInRequest;
use App\Models\User;
use App\SignIn\Entrance;
use Illuminate\Auth\SessionGuard;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;

final class SignInController
{
    /** The pages of a plan to which one can come back. */
    private const PAGES = 'gather|map|draft|sources|sorting-out|history|hand-over';

    /** `to`: the page of a plan from which someone was signed out, and to which they want to come back. */
    public function create(Request $request): View
    {
        $to = Given::text($request, 'to');
        if (preg_match('#\A/plans/[0-9A-Z]{26}(?:/(?:' . self::PAGES . '))?\z#', $to) === 1) {
            $request->session()->put('url.intended', url($to));
        }

        return view('auth.sign-in', ['hasSample' => app()->isLocal()]);
    }

    public function store(SignInRequest $request): RedirectResponse
    {
        $given = $request->only('email', 'password');
        // Looked at, and not let in: perhaps there is a second step.
        $guard = Auth::guard();
        $user = $guard instanceof SessionGuard && $guard->validate($given) ? $guard->getLastAttempted() : null;
        if (!$user instanceof User) {
            throw ValidationException::withMessages(['email' => 'This e-mail address and password do not belong together.']);
        }

        $guard->getProvider()->rehashPasswordIfRequired($user, $given);

        return Entrance::admit($request, $user, $request->boolean('stay'));
    }

    public function destroy(Request $request): RedirectResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect()->route('welcome');
    }
}
