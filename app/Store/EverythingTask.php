<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\User;

/** Packs all of a person's plans into a zip that waits to be fetched. */
final readonly class EverythingTask
{
    public function __construct(private Everything $everything) {}

    /** @return array<string, mixed> */
    public function run(string $task, User $user): array
    {
        $path = $this->everything->zip($user, static fn(int $done, int $of) => Tasks::progress($task, $done, $of, 'Writing the plans'));
        rename($path, Tasks::path($task));

        return ['file' => route('task.file', $task), 'name' => Everything::name(), 'type' => 'application/zip'];
    }
}
