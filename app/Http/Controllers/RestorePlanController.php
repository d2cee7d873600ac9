<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Plan;
use Illuminate\Http\RedirectResponse;
use Illuminate\Support\Facades\Gate;

final class RestorePlanController
{
    public function __invoke(Plan $plan): RedirectResponse
    {
        Gate::authorize('update', $plan);
        $plan->restore();

        return redirect()->route('plans')->with('said', "“{$plan->title}” is back.");
    }
}
