<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Store\Devices;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** Signs a person out on one device of theirs, or on all but this one. */
final class DeviceController
{
    public function __invoke(Request $request): RedirectResponse
    {
        $key = Given::text($request, 'device');
        Devices::signOut(Given::person($request), $request->session()->getId(), $key === '' ? null : $key);

        return redirect()->route('account')->with('said', $key === '' ? 'Every other device is signed out.' : 'That device is signed out.');
    }
}
