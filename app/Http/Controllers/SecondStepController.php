<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Models\User;
use App\SignIn\SecondStep;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;

/** A person turns the second step of signing in on or off. */
final class SecondStepController
{
    private const SECRET = 'second step secret';
    private const CODES = 'second step codes';

    public function show(Request $request): View|RedirectResponse
    {
        $user = Given::person($request);
        $codes = $request->session()->get(self::CODES);
        if (\is_array($codes)) {
            return view('account.recovery', ['codes' => $codes]);
        }
        if (SecondStep::isOn($user)) {
            return redirect()->route('account');
        }
        $secret = $request->session()->get(self::SECRET);
        if (!\is_string($secret)) {
            $request->session()->put(self::SECRET, $secret = SecondStep::secret());
        }

        return view('account.second-step', ['secret' => $secret, 'address' => SecondStep::address($user, $secret)]);
    }

    public function store(Request $request): RedirectResponse
    {
        $secret = $request->session()->get(self::SECRET);
        $codes = \is_string($secret) ? SecondStep::turnOn(Given::person($request), $secret, Given::text($request, 'code')) : null;
        if ($codes === null) {
            throw ValidationException::withMessages(['code' => 'This is not the code that your device shows now. Is its clock right?']);
        }
        $request->session()->forget(self::SECRET);

        // Told on the next page alone.
        return redirect()->route('account.second-step')->with(self::CODES, $codes);
    }

    public function codes(Request $request): RedirectResponse
    {
        $user = $this->confirmed($request);

        return redirect()->route('account.second-step')->with(self::CODES, SecondStep::newCodes($user));
    }

    public function destroy(Request $request): RedirectResponse
    {
        SecondStep::turnOff($this->confirmed($request));

        return redirect()->route('account')->with('said', 'The second step is off. You sign in with your password alone.');
    }

    /** Whoever is at a page that was left open cannot do it. */
    private function confirmed(Request $request): User
    {
        $user = Given::person($request);
        if (!SecondStep::take($user, Given::text($request, 'second_code'))) {
            throw ValidationException::withMessages(['second_code' => 'This is not the code of now, or it was used. Nothing was changed.']);
        }

        return $user;
    }
}
