<?php

declare(strict_types=1);

namespace App\Store;

use App\Http\Requests\HandOverRequest;
use App\Models\Plan as PlanRow;
use App\Models\User;
use Illuminate\Support\Facades\Gate;

/** Writes a long draft to a file that waits to be fetched. */
final readonly class HandOverTask
{
    public function __construct(private PlanStore $store) {}

    /**
     * @param array<array-key, mixed> $given
     *
     * @return array<string, mixed>
     */
    public function run(string $task, User $user, array $given): array
    {
        $row = PlanRow::query()->findOrFail(\is_string($given['plan'] ?? null) ? $given['plan'] : '');
        Gate::forUser($user)->authorize('view', $row);
        Tasks::progress($task, 1, 4, 'Reading the plan');
        $tree = $this->store->load($row, true);
        $request = HandOverRequest::ofTask($row, $user, \is_array($given['choices'] ?? null) ? $given['choices'] : []);
        $choices = $request->choices($tree);
        $format = $request->writing()->coming($tree, $choices);
        Tasks::progress($task, 2, 4, 'Writing ' . $format->label());
        $path = Tasks::path($task);
        $out = fopen($path, 'w') ?: throw new \RuntimeException('The file cannot be written.');
        try {
            HandedOver::write($tree, $choices, $format, $out);
        } catch (\Throwable $why) {
            unlink($path);

            throw $why;
        } finally {
            fclose($out);
        }

        return ['file' => route('task.file', $task), 'name' => HandedOver::name($tree, $choices, $format), 'type' => $format->mediaType()];
    }
}
