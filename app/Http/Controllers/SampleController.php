<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Middleware\StaysSignedIn;
use App\Models\User;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

/** One button opens the sample account; in the local environment only. */
final class SampleController
{
    public function __invoke(Request $request): RedirectResponse
    {
        abort_unless(app()->isLocal(), 404);
        Auth::login(User::query()->where('email', config('embrel.sample_email'))->firstOrFail());
        $request->session()->regenerate();
        $request->session()->put(StaysSignedIn::STAYS, false);

        return redirect()->route('plans');
    }
}
