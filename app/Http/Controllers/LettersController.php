<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Models\User;
use App\Store\Letters;
use App\Store\NoticeKind;
use App\Store\Notices;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Validation\Rules\Enum;

/** When people are written to about what was said; and the way to be left alone, from a letter, without signing in. */
final class LettersController
{
    public function update(Request $request): RedirectResponse
    {
        $rules = array_fill_keys(array_column(NoticeKind::cases(), 'value'), ['required', new Enum(Letters::class)]);
        Given::person($request)->update(['letters' => $request->validate($rules)]);

        return back()->with('said', 'Letters come as you chose.');
    }

    public function seen(Request $request): RedirectResponse
    {
        Notices::saw(Given::person($request), null);

        return back();
    }

    /** Looking at it changes nothing: programs that check letters look at every link. */
    public function show(Request $request, int $user): View
    {
        return view('account.letters-off', ['address' => $request->fullUrl(), 'isDone' => false]);
    }

    public function off(Request $request, int $user): View|Response
    {
        $person = User::query()->where('id', $user)->first() ?? abort(404);
        $person->update(['letters' => array_fill_keys(array_column(NoticeKind::cases(), 'value'), Letters::None->value)]);

        return view('account.letters-off', ['address' => null, 'isDone' => true]);
    }
}
