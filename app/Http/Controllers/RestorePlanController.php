<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Plan;
use Illuminate\Http\RedirectResponse;

final class RestorePlanController
{
    public function __invoke(Plan $plan): RedirectResponse
    {
        $plan->restore();

        return redirect()->route('plans')->with('said', "“{$plan->title}” is back.");
    }
}
