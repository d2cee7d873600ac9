<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan as PlanRow;
use App\Models\User;
use Embrel\Operation\OperationRefused;

/** Takes a person's step of the log back, or brings it back again, as a new step. */
final class StepBack
{
    private const LONGEST = 280;

    public function __construct(private readonly PlanStore $store) {}

    /**
     * @return array<string, mixed> the answer to the page; `nothing` is true when there was no such step
     *
     * @throws OperationRefused when someone else has changed the same thing since
     */
    public function undo(PlanRow $row, User $user, int $base): array
    {
        return $this->step($row, $user, $base, static fn(UndoLog $log): array => [$log->undoable(), "Undid: {$log->names()['undo']}"]);
    }

    /**
     * Takes back one step that need not be the newest. Where what it did cannot be taken back any more, it is refused.
     *
     * @return array<string, mixed> as undo()
     *
     * @throws OperationRefused
     */
    public function undoStep(PlanRow $row, User $user, int $base, string $step): array
    {
        return $this->step($row, $user, $base, static function (UndoLog $log) use ($step): array {
            return [$log->standing($step), "Undid: {$log->says($step)}"];
        });
    }

    /**
     * @return array<string, mixed> as undo()
     *
     * @throws OperationRefused
     */
    public function redo(PlanRow $row, User $user, int $base): array
    {
        return $this->step($row, $user, $base, static fn(UndoLog $log): array => [$log->redoable(), (string) $log->names()['redo']]);
    }

    /**
     * Under the lock: two that are asked at once must not take back the same step.
     *
     * @param \Closure(UndoLog): array{string|null, string} $choose the step, and what taking it back is called
     *
     * @return array<string, mixed>
     */
    private function step(PlanRow $row, User $user, int $base, \Closure $choose): array
    {
        return $this->store->locked($row, function () use ($row, $user, $base, $choose): array {
            $log = new UndoLog($row->id, $user->id);
            [$step, $says] = $choose($log);
            if ($step === null) {
                return ['nothing' => true, 'revision' => $base];
            }
            $operation = $log->takeBack($step);
            $outcome = $this->store->insist(
                $row,
                $user,
                $this->store->change($operation, $step, mb_strimwidth($says, 0, self::LONGEST, '…')),
            );

            return ['touched' => $operation->topics(), 'steps' => (new UndoLog($row->id, $user->id))->names()]
                + News::of($row, $user, $base, $outcome);
        });
    }
}
