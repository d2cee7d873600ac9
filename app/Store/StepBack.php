<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan as PlanRow;
use App\Models\User;
use Embrel\Operation\OperationRefused;
use Illuminate\Support\Facades\DB;

/** Takes a step of the log back, or brings it back again, as a new step. */
final class StepBack
{
    public function __construct(private readonly PlanStore $store) {}

    /**
     * @param \Closure(UndoLog): ?string $choose
     *
     * @return array<string, mixed> the answer to the page; `nothing` is true when there was no such step
     */
    public function answer(PlanRow $row, User $user, int $base, \Closure $choose): array
    {
        return DB::transaction(function () use ($row, $user, $base, $choose): array {
            // Two that are asked at once must not take back the same step.
            DB::table('plans')->where('id', $row->id)->lockForUpdate()->value('id');

            return $this->stepped($row, $user, $base, $choose);
        });
    }

    /**
     * @param \Closure(UndoLog): ?string $choose
     *
     * @return array<string, mixed>
     *
     * @throws OperationRefused
     */
    private function stepped(PlanRow $row, User $user, int $base, \Closure $choose): array
    {
        $log = new UndoLog($row->id, $user->id);
        $step = $choose($log);
        if ($step === null) {
            return ['nothing' => true, 'revision' => $base];
        }
        $operation = $log->inverseOf($step);
        $names = $log->names();
        $says = $names['undo'] !== null && $log->undoable() === $step ? "Undid: {$names['undo']}" : (string) $names['redo'];
        $outcome = $this->store->insist($row, $user, $this->store->change($operation, $step, mb_strimwidth($says, 0, 280, '…')));

        return ['touched' => $operation->touches(), 'steps' => (new UndoLog($row->id, $user->id))->names()] + PlanView::since($row, $base, $outcome->after, $outcome->before, $outcome->from);
    }
}
