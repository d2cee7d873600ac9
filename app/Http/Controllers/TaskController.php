<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Download;
use App\Models\Task;
use Illuminate\Http\JsonResponse;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Long work: how far it is, and the file that came of it. */
final class TaskController
{
    public function show(Task $task): JsonResponse
    {
        return response()->json([
            'state' => $task->state,
            'done' => $task->done,
            'of' => $task->of,
            'says' => (string) $task->says,
            'result' => $task->result ?? [],
        ]);
    }

    public function file(Task $task): StreamedResponse
    {
        $name = $task->result['name'] ?? null;
        $type = $task->result['type'] ?? null;

        return \is_string($name) && \is_string($type) ? Download::of(Task::DISK, $task->id, $name, $type) : abort(404);
    }
}
