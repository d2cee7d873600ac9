<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Models\User;
use App\SignIn\SecondStep;
use App\Store\Accounts;
use App\Store\Devices;
use App\Store\Quota;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** For whoever looks after Embrel at an organisation: people, room and running work; never what is in plans. */
final class AdministrationController
{
    public function index(Request $request): View
    {
        $search = trim(Given::text($request, 'search'));
        $people = Accounts::page($search);
        /** @var list<int> $ids */
        $ids = array_column($people->items(), 'id');

        return view('administration.index', [
            'people' => $people,
            'search' => $search,
            'used' => Quota::usedBy($ids),
            'seen' => Accounts::seen($ids),
            'sums' => Accounts::sums(),
            'work' => Accounts::work(),
            'zone' => Given::person($request)->time_zone,
        ]);
    }

    public function show(Request $request, User $account): View
    {
        return view('administration.person', [
            'person' => $account,
            'used' => Quota::used($account->id),
            'plans' => $account->plans()->count(),
            'isMe' => $account->is($request->user()),
        ]);
    }

    public function update(Request $request, User $account): RedirectResponse
    {
        $given = $request->validate(['quota' => ['nullable', 'integer', 'min:1', 'max:10000000']]);
        $account->forceFill(['quota' => isset($given['quota']) ? (int) $given['quota'] * 1024 ** 2 : null])->save();

        return back()->with('said', 'Saved.');
    }

    public function close(Request $request, User $account): RedirectResponse
    {
        if ($account->is($request->user())) {
            return back()->withErrors(['account' => 'This is your own account. Another administrator can close it.']);
        }
        Accounts::close($account);

        return back()->with('said', "The account of {$account->name} is closed. All that is in it stays.");
    }

    public function open(User $account): RedirectResponse
    {
        Accounts::open($account);

        return back()->with('said', "{$account->name} can sign in again.");
    }

    public function signOut(Request $request, User $account): RedirectResponse
    {
        Devices::signOut($account, $account->is($request->user()) ? $request->session()->getId() : '');

        return back()->with('said', "{$account->name} is signed out everywhere.");
    }

    public function withoutSecondStep(User $account): RedirectResponse
    {
        SecondStep::turnOff($account);

        return back()->with('said', "{$account->name} signs in with the password alone until they turn the second step on again.");
    }
}
