<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\SignIn\Entrance;
use App\SignIn\NotVouchedFor;
use App\SignIn\Organisation;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Signing in by the accounts of an organisation: there, and back. */
final class OrganisationController
{
    private const AWAY = 'organisation';

    public function away(Request $request, Organisation $organisation): RedirectResponse
    {
        Organisation::isSet() || abort(404);
        try {
            $begun = $organisation->begin();
        } catch (NotVouchedFor $why) {
            return self::refused($why->getMessage());
        }
        $request->session()->put(self::AWAY, $begun + ['stays' => $request->boolean('stay')]);

        return redirect()->away($begun['address']);
    }

    public function back(Request $request, Organisation $organisation): RedirectResponse
    {
        Organisation::isSet() || abort(404);
        // Once: who comes back twice, or without having gone, does not come in.
        $begun = $request->session()->pull(self::AWAY);
        $state = Given::text($request, 'state');
        if (!\is_array($begun) || $state === '' || !hash_equals((string) $begun['state'], $state)) {
            return self::refused('That took too long, or was begun elsewhere. Try again.');
        }
        if (Given::text($request, 'code') === '') {
            return self::refused('Your organisation did not let you in. Nothing was changed.');
        }
        try {
            $user = $organisation->person(Given::text($request, 'code'), (string) $begun['nonce'], (string) $begun['verifier']);
        } catch (NotVouchedFor $why) {
            report($why->getPrevious() ?? $why);

            return self::refused($why->getMessage());
        }

        return Entrance::admit($request, $user, $begun['stays'] === true, true);
    }

    private static function refused(string $why): RedirectResponse
    {
        return redirect()->route('login')->withErrors(['organisation' => $why]);
    }
}
