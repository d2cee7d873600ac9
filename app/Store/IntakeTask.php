<?php

declare(strict_types=1);

namespace App\Store;

use App\Http\Requests\IntakeRequest;
use App\Models\User;
use Embrel\Reader\Format;
use Embrel\Reader\Unreadable;

/** Takes in a file that waits. */
final readonly class IntakeTask
{
    public function __construct(private Intakes $intakes, private WaitingFiles $waiting) {}

    /**
     * @param array<array-key, mixed> $given
     *
     * @return array<string, mixed>
     */
    public function run(string $task, User $user, array $given): array
    {
        $token = \is_string($given['token'] ?? null) ? $given['token'] : '';
        $file = $this->waiting->find($user, $token) ?? throw Unreadable::gone();
        $in = fopen($file['path'], 'r') ?: throw Unreadable::gone();
        $options = IntakeRequest::options(\is_array($given['choices'] ?? null) ? $given['choices'] : [], $file['name']);
        [$into, $under] = array_map(static fn(string $name): string => \is_string($given[$name] ?? null) ? $given[$name] : '', [
            'into',
            'under',
        ]);
        $progress = static fn(int $done, int $of, string $says) => Tasks::progress($task, $done, $of, $says);
        $kept = $this->intakes->keep($user, $in, Format::ofPath($file['name']), $options, $into, $under, $progress);
        $this->waiting->forget($user, $token);

        return ['address' => route('plan', $kept['plan']), 'title' => $kept['plan']->title, 'repairs' => $kept['repairs']];
    }
}
