<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Http\Requests\HandOverRequest;
use App\Models\Plan;
use App\Models\Task;
use App\Models\User;
use App\Store\HandedOver;
use App\Store\PlanStore;
use App\Store\WorkFolder;
use Illuminate\Support\Facades\Gate;

/** Writes a long draft to a file that waits to be fetched. */
final readonly class WriteDraft implements Work
{
    public function __construct(private PlanStore $store) {}

    public function run(Task $task, User $user): array
    {
        $given = $task->given;
        $row = Plan::query()->findOrFail(\is_string($given['plan'] ?? null) ? $given['plan'] : '');
        Gate::forUser($user)->authorize('view', $row);
        $task->progress(1, 4, 'Reading the plan');
        $tree = $this->store->load($row, true);
        $request = HandOverRequest::ofTask($row, $user, \is_array($given['choices'] ?? null) ? $given['choices'] : []);
        $choices = $request->choices($tree);
        $format = $request->writing()->coming($tree, $choices);
        $task->progress(2, 4, 'Writing ' . $format->label());
        WorkFolder::with(static function (string $folder) use ($task, $tree, $choices, $format): void {
            $out = fopen("{$folder}/draft", 'w') ?: throw new \RuntimeException('The file cannot be written.');
            HandedOver::write($tree, $choices, $format, $out);
            fclose($out);
            $task->keepFile("{$folder}/draft");
        });

        return [
            'file' => route('task.file', $task->id),
            'name' => HandedOver::name($tree, $choices, $format),
            'type' => $format->mediaType(),
        ];
    }
}
