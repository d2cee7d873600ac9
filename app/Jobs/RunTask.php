<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Task;
use App\Store\Tasks;
use Embrel\Operation\OperationRefused;
use Embrel\Reader\Unreadable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;

/** Does the piece of long work whose turn it is; whatever comes of it is said in its task, and nothing of what failed is left. */
final class RunTask implements ShouldQueue
{
    use Queueable;

    public int $tries = 1;
    public int $timeout = 900;

    private const STOPPED = 'This took too long or too much and was stopped. Nothing was lost; try again with less of it.';

    /** The task that is under way in this process. */
    private static ?Task $underWay = null;

    public function handle(): void
    {
        $task = Tasks::claim();
        if ($task === null) {
            // What waits must wait for a large one to end.
            Tasks::areWaiting() ? self::dispatch()->delay(2) : null;

            return;
        }
        self::watch();
        self::$underWay = $task;
        try {
            $user = $task->user ?? throw new \DomainException('There is nothing to be done any more.');
            Tasks::done($task, app($task->kind->work())->run($task, $user));
        } catch (Unreadable|OperationRefused|\DomainException $why) {
            $task->failed($why->getMessage());
        } catch (\Throwable $why) {
            $task->failed('Something went wrong. Nothing was lost; try again.');
            report($why);
        }
        self::$underWay = null;
        Tasks::letGo($task);
    }

    /** Says so in the task when the process ends amid it, as by an error that PHP does not survive. */
    private static function watch(): void
    {
        static $isWatched = false;
        if (!$isWatched) {
            $isWatched = true;
            register_shutdown_function(static fn() => self::$underWay?->failed(self::STOPPED));
        }
    }

    /** After it took too long. */
    public function failed(): void
    {
        self::$underWay?->failed(self::STOPPED);
    }
}
