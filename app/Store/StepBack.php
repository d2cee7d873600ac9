<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan as PlanRow;
use App\Models\User;
use Embrel\Operation\OperationRefused;
use Embrel\Operation\Reason;

/** Takes a step of the log back, or brings it back again, as a new step. */
final class StepBack
{
    public function __construct(private readonly PlanStore $store) {}

    /**
     * @param \Closure(UndoLog): ?string $choose
     *
     * @return array<string, mixed> the answer to the page; `nothing` is true when there was no such step
     *
     * @throws OperationRefused
     */
    public function answer(PlanRow $row, User $user, int $base, \Closure $choose): array
    {
        $log = new UndoLog($row->id, $user->id);
        $step = $choose($log);
        if ($step === null) {
            return ['nothing' => true, 'revision' => $base];
        }
        $operation = $log->inverseOf($step);
        $outcome = $this->store->apply($row, $user, [$this->store->change($operation, $step)]);
        if ($outcome->refused !== []) {
            throw $outcome->refused[0]['reason'] === Reason::Changed->value ? OperationRefused::changed() : OperationRefused::value(new \DomainException($outcome->refused[0]['message']));
        }

        return ['touched' => $operation->touches()] + PlanView::since($row, $base, $outcome->after, $outcome->before, $outcome->from);
    }
}
