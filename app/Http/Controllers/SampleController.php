<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\User;
use App\SignIn\Entrance;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** One button opens the sample account; in the local environment only. */
final class SampleController
{
    public function __invoke(Request $request): RedirectResponse
    {
        abort_unless(app()->isLocal(), 404);

        return Entrance::letIn($request, User::query()->where('email', config('embrel.sample_email'))->firstOrFail(), false);
    }
}
