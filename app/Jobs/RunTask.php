<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\User;
use App\Store\EverythingTask;
use App\Store\HandOverTask;
use App\Store\IntakeTask;
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
    private static ?string $underWay = null;

    public function handle(): void
    {
        $row = Tasks::claim();
        if ($row === null) {
            // What waits must wait for a large one to end.
            Tasks::areWaiting() ? self::dispatch()->delay(2) : null;

            return;
        }
        self::watch();
        self::$underWay = $task = (string) $row->id;
        $user = User::query()->where('id', $row->user_id)->first();
        $given = json_decode((string) $row->given, true);
        try {
            $result = match (true) {
                $user === null, !\is_array($given) => throw new \DomainException('There is nothing to be done any more.'),
                $row->kind === 'hand-over' => app(HandOverTask::class)->run($task, $user, $given),
                $row->kind === 'intake' => app(IntakeTask::class)->run($task, $user, $given),
                $row->kind === 'everything' => app(EverythingTask::class)->run($task, $user),
                default => throw new \LogicException("There is no work called {$row->kind}."),
            };
            Tasks::done($task, $result);
        } catch (Unreadable|OperationRefused|\DomainException $why) {
            Tasks::failed($task, $why->getMessage());
        } catch (\Throwable $why) {
            Tasks::failed($task, 'Something went wrong. Nothing was lost; try again.');
            report($why);
        }
        self::$underWay = null;
    }

    /** Says so in the task when the process ends amid it, as by an error that PHP does not survive. */
    private static function watch(): void
    {
        static $isWatched = false;
        if (!$isWatched) {
            $isWatched = true;
            register_shutdown_function(static fn() => self::$underWay === null ? null : Tasks::failed(self::$underWay, self::STOPPED));
        }
    }

    /** After it took too long. */
    public function failed(): void
    {
        self::$underWay === null ? null : Tasks::failed(self::$underWay, self::STOPPED);
    }
}
