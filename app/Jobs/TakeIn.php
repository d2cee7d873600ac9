<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Http\Requests\IntakeRequest;
use App\Models\Task;
use App\Models\User;
use App\Store\Intakes;
use App\Store\WaitingFiles;
use Embrel\Reader\Format;
use Embrel\Reader\Unreadable;

/** Takes in a file that waits. */
final readonly class TakeIn implements Work
{
    public function __construct(private Intakes $intakes, private WaitingFiles $waiting) {}

    public function run(Task $task, User $user): array
    {
        $given = $task->given;
        $text = static fn(string $name): string => \is_string($given[$name] ?? null) ? $given[$name] : '';
        $file = $this->waiting->find($user, $text('token')) ?? throw Unreadable::gone();
        $options = IntakeRequest::options(\is_array($given['choices'] ?? null) ? $given['choices'] : [], $file->name);
        $kept = $this->intakes->keep(
            $user,
            $file->open(),
            Format::ofPath($file->name),
            $options,
            $text('into'),
            $text('under'),
            $task->progress(...),
        );
        $this->waiting->forget($user, $text('token'));

        return ['address' => route('plan', $kept['plan']), 'title' => $kept['plan']->title, 'repairs' => $kept['repairs']];
    }
}
