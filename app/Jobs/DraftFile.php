<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Http\Requests\HandOverRequest;
use App\Models\Plan;
use App\Models\Task;
use App\Models\User;
use App\Store\HandedOver;
use App\Store\PlanStore;

/** The file of a plan that is made in the queue. */
final readonly class DraftFile
{
    public function __construct(private PlanStore $store) {}

    /**
     * @param mixed  $chosen of the hand-over, as it was validated
     * @param string $path   that it is written to
     *
     * @return array{name: string, type: string} what the file is called, and its media type
     */
    public function write(Task $task, Plan $row, User $user, mixed $chosen, string $path): array
    {
        $task->progress(1, 4, 'Reading the plan');
        $plan = $this->store->load($row, true);
        $request = HandOverRequest::ofTask($row, $user, \is_array($chosen) ? $chosen : []);
        $choices = $request->choices($plan);
        $format = $request->writing()->coming($plan, $choices);
        $task->progress(2, 4, 'Writing ' . $format->label());
        $out = fopen($path, 'w') ?: throw new \RuntimeException('The file cannot be written.');
        HandedOver::write($plan, $choices, $format, $out);
        fclose($out);

        return ['name' => HandedOver::name($plan, $choices, $format), 'type' => $format->mediaType()];
    }
}
