<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Task;
use App\Models\User;
use App\Store\Everything;
use Illuminate\Support\Facades\File;

/** Packs all of a person's plans into a zip that waits to be fetched. */
final readonly class PackEverything implements Work
{
    public function __construct(private Everything $everything) {}

    public function run(Task $task, User $user): array
    {
        $path = $this->everything->zip(
            $user,
            static fn(int $done, int $of) => $task->progress($done, $of, 'Writing the plans'),
            ($task->given['every'] ?? false) === true,
        );
        try {
            $task->keepFile($path);
        } finally {
            File::delete($path);
        }

        return ['file' => route('task.file', $task->id), 'name' => Everything::name(), 'type' => 'application/zip'];
    }
}
