<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Plan;
use App\Models\Task;
use App\Models\User;
use App\Store\WorkFolder;
use Illuminate\Support\Facades\Gate;

/** Writes a long draft to a file that waits to be fetched. */
final readonly class WriteDraft implements Work
{
    public function __construct(private DraftFile $file) {}

    public function run(Task $task, User $user): array
    {
        $given = $task->given;
        $row = Plan::query()->findOrFail(\is_string($given['plan'] ?? null) ? $given['plan'] : '');
        Gate::forUser($user)->authorize('view', $row);

        return WorkFolder::with(function (string $folder) use ($task, $row, $user, $given): array {
            $made = $this->file->write($task, $row, $user, $given['choices'] ?? null, "{$folder}/draft");
            $task->keepFile("{$folder}/draft");

            return ['file' => route('task.file', $task->id)] + $made;
        });
    }
}
