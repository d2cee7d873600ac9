<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Store\Glimpse;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

final class WelcomeController
{
    public function __invoke(Request $request): View|RedirectResponse
    {
        return $request->user() === null
            ? view('welcome', ['hasSample' => app()->isLocal(), 'glimpse' => Glimpse::of()])
            : redirect()->route('plans');
    }
}
