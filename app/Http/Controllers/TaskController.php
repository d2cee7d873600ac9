<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Task;
use Illuminate\Filesystem\FilesystemAdapter;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Storage;
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
        /** @var FilesystemAdapter $disk */
        $disk = Storage::disk(Task::DISK);
        if (!\is_string($name) || !\is_string($type) || !$disk->exists($task->id)) {
            abort(404);
        }

        return $disk->download($task->id, $name, ['Content-Type' => $type]);
    }
}
