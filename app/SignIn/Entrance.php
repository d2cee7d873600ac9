<?php

declare(strict_types=1);

namespace App\SignIn;

use App\Http\Middleware\StaysSignedIn;
use App\Models\User;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;

/** How whoever has shown who they are comes in: by the second step, where they have one. */
final class Entrance
{
    public const CLOSED = 'This account is closed. Whoever looks after Embrel here can open it again.';
    /** In seconds: for so long the second step may be taken. */
    private const HOLDS = 600;
    private const WAITS = 'second step';

    /** After the first step. */
    public static function admit(Request $request, User $user, bool $stays, bool $isVouchedFor = false): RedirectResponse
    {
        if ($user->closed_at !== null) {
            throw ValidationException::withMessages(['email' => self::CLOSED]);
        }
        if (SecondStep::isOn($user) && !$isVouchedFor) {
            $request->session()->put(self::WAITS, ['user' => $user->id, 'stays' => $stays, 'until' => now()->getTimestamp() + self::HOLDS]);

            return redirect()->route('sign-in.code');
        }

        return self::letIn($request, $user, $stays);
    }

    /** Who has taken the first step not long ago. */
    public static function waiting(Request $request): ?User
    {
        $waits = $request->session()->get(self::WAITS);
        $isInTime = \is_array($waits) && ($waits['until'] ?? 0) >= now()->getTimestamp();

        return $isInTime ? User::query()->where('id', $waits['user'] ?? 0)->where('closed_at', null)->first() : null;
    }

    /** After the second. */
    public static function complete(Request $request, User $user): RedirectResponse
    {
        return self::letIn($request, $user, ($request->session()->pull(self::WAITS)['stays'] ?? false) === true);
    }

    /** Whoever it is has shown that already, as by the letter that opened the account. */
    public static function letIn(Request $request, User $user, bool $stays): RedirectResponse
    {
        Auth::login($user);
        $request->session()->regenerate();
        $request->session()->forget(self::WAITS);
        $request->session()->put(StaysSignedIn::STAYS, $stays);

        return redirect()->intended(route('plans'));
    }
}
