<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Store\Everything;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

final class DownloadEverythingController
{
    public function __invoke(Request $request, Everything $everything): BinaryFileResponse
    {
        $user = $request->user() ?? abort(401);

        return response()->download($everything->zip($user), 'embrel-' . now()->format('Y-m-d') . '.zip')->deleteFileAfterSend();
    }
}
