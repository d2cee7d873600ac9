<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Invitation;
use App\Models\User;
use App\SignIn\Entrance;
use App\Store\Accounts;
use App\Store\Invitations;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rules\Password;

/** Where the link in a letter leads that asks someone into a plan. */
final class InvitationController
{
    /** Looking at it lets nobody in: programs that check letters look at every link. */
    public function show(Request $request, string $token): Response
    {
        $invitation = Invitations::find($token);
        $user = $request->user();
        $isKnown = $invitation !== null && User::query()->where('email', $invitation->email)->exists();
        if ($user === null && $isKnown) {
            $request->session()->put('url.intended', route('invitation', $token));
        }

        return response()->view(
            'auth.invitation',
            ['token' => $token, 'invitation' => $invitation, 'user' => $user, 'isKnown' => $isKnown],
            $invitation === null ? 404 : 200,
        );
    }

    public function accept(Request $request, string $token, Invitations $invitations): RedirectResponse
    {
        $invitation = Invitations::find($token);
        $user = $request->user();
        if ($invitation !== null && $user === null) {
            $user = $this->opened($request, $invitation);
        }
        $plan = $invitation === null || !$user instanceof User ? null : $invitations->accept($token, $user);

        return $plan === null ? redirect()->route('invitation', $token) : redirect()->route('plan', $plan);
    }

    /** An account made on the way; null where the address has one: its owner signs in. */
    private function opened(Request $request, Invitation $invitation): ?User
    {
        if (!Accounts::areByInvitation() || User::query()->where('email', $invitation->email)->exists()) {
            return null;
        }
        /** @var array{name: string, password: string, time_zone?: string|null} $given */
        $given = $request->validate([
            'name' => ['required', 'string', 'max:120'],
            'password' => ['bail', 'required', 'string', 'max:200', Password::defaults()],
            'time_zone' => ['nullable', 'timezone'],
        ]);
        $user = Invitations::open($invitation, $given);
        Entrance::letIn($request, $user, false);

        return $user;
    }
}
