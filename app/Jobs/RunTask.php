<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\User;
use App\Store\HandOverTask;
use App\Store\IntakeTask;
use App\Store\Tasks;
use Embrel\Operation\OperationRefused;
use Embrel\Reader\Unreadable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Illuminate\Support\Facades\DB;

/** Does one piece of long work; whatever comes of it is said in its task, and nothing of what failed is left. */
final class RunTask implements ShouldQueue
{
    use Queueable;

    public int $tries = 1;
    public int $timeout = 900;

    public function __construct(private readonly string $task) {}

    public function handle(): void
    {
        $row = DB::table('tasks')->where('id', $this->task)->first();
        $user = $row === null ? null : User::query()->where('id', $row->user_id)->first();
        $given = $row === null ? null : json_decode((string) $row->given, true);
        if ($row === null || $user === null || !\is_array($given)) {
            return;
        }
        try {
            $result = match ($row->kind) {
                'hand-over' => app(HandOverTask::class)->run($this->task, $user, $given),
                'intake' => app(IntakeTask::class)->run($this->task, $user, $given),
                default => throw new \LogicException("There is no work called {$row->kind}."),
            };
            Tasks::done($this->task, $result);
        } catch (Unreadable|OperationRefused|\DomainException $why) {
            Tasks::failed($this->task, $why->getMessage());
        } catch (\Throwable $why) {
            Tasks::failed($this->task, 'Something went wrong. Nothing was lost; try again.');
            report($why);
        }
    }

    public function failed(): void
    {
        Tasks::failed($this->task, 'This took too long and was stopped. Nothing was lost; try again with less of it.');
    }
}
