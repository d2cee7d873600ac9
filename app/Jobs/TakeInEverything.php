<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Task;
use App\Models\User;
use App\Store\WaitingFiles;
use App\Store\WholeAccount;
use App\Store\WorkFolder;
use Embrel\Reader\Unreadable;

/** Takes in all that somebody had on another Embrel, out of the zip that it gave them. */
final readonly class TakeInEverything implements Work
{
    public function __construct(private WholeAccount $whole, private WaitingFiles $waiting) {}

    public function run(Task $task, User $user): array
    {
        $token = \is_string($task->given['token'] ?? null) ? $task->given['token'] : '';
        $file = $this->waiting->find($user, $token) ?? throw Unreadable::gone();
        $taken = WorkFolder::with(function (string $folder) use ($file, $user, $task): array {
            file_put_contents("{$folder}/everything.zip", $file->open());

            return $this->whole->read(
                $user,
                "{$folder}/everything.zip",
                static fn(int $done, int $of) => $task->progress($done, $of, 'Taking in the plans'),
            );
        });
        $this->waiting->forget($user, $token);
        $count = $taken['plans'] === 1 ? 'One plan is here now.' : "{$taken['plans']} plans are here now.";

        return ['file' => route('plans'), 'says' => implode(' ', [$count, ...$taken['said']])];
    }
}
