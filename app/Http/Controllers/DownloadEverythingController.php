<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Models\TaskKind;
use App\Store\Everything;
use App\Store\Tasks;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** Everything of a person in one zip: at once, or, where it is much, from the queue. */
final class DownloadEverythingController
{
    public function __invoke(Request $request, Everything $everything, Tasks $tasks): BinaryFileResponse|View
    {
        $user = Given::person($request);
        $inEvery = $request->boolean('every');
        if ($inEvery || Everything::isLong($user)) {
            $task = $tasks->start($user, TaskKind::Everything, ['every' => $inEvery], Everything::weight($user));

            return view('account.everything', ['address' => route('task', $task->id)]);
        }

        return response()->download($everything->zip($user), Everything::name())->deleteFileAfterSend();
    }
}
