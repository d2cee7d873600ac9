<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Given;
use App\Models\TaskKind;
use App\Store\Tasks;
use App\Store\WaitingFiles;
use Illuminate\Contracts\View\View;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\ValidationException;

/** All that somebody had on another Embrel comes in: a zip comes up, and is taken in by the queue. */
final class WholeController
{
    public function __invoke(Request $request, WaitingFiles $waiting, Tasks $tasks): View
    {
        $user = Given::person($request);
        $file = $request->file('everything');
        if (!$file instanceof UploadedFile || !$file->isValid()) {
            throw ValidationException::withMessages(['everything' => 'Choose the zip of “Everything of yours”, of 64 MB at most.']);
        }
        $token = $waiting->keep($user, $file);
        $task = $tasks->start($user, TaskKind::Whole, ['token' => $token], (int) $file->getSize());

        return view('account.everything', ['address' => route('task', $task->id), 'comesIn' => true]);
    }
}
