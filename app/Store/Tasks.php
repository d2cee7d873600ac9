<?php

declare(strict_types=1);

namespace App\Store;

use App\Hosts\Replica;
use App\Jobs\RunTask;
use App\Models\Task;
use App\Models\TaskKind;
use App\Models\TaskState;
use App\Models\User;
use Embrel\Id\Ids;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;

/**
 * Long work that goes through the queue: whose turn it is, and how much of it is kept. The table says what is to be done, the queue only
 * that there is something; so what the queue forgets is put in again. Who does a piece holds a lock of the database by its name, which
 * goes with the process: where nobody holds it any more, the work was broken off.
 */
final readonly class Tasks
{
    /** Of one person: how many may wait, and how many results are kept, with how many bytes in all. */
    private const WAITING = 20;
    private const RESULTS = 10;
    private const RESULTS_BYTES = 512 * 1024 * 1024;
    /** From this weight on (bytes to be read, or about as many to be written) it is large: one worker is kept from those. */
    private const LARGE = 4_000_000;
    /** In seconds; what runs longer has been given up (App\Jobs\RunTask). */
    private const LONGEST = 1_000;
    /** In seconds: what waits longer was perhaps forgotten. */
    private const FORGOTTEN = 10;
    private const BROKEN_OFF = 'The machine that was at this stopped amid it. Nothing was lost; try again.';

    public function __construct(private Ids $ids) {}

    /**
     * @param array<string, mixed> $given  what the work needs to know
     * @param int                  $weight about how many bytes are to be read or written
     *
     * @throws TooMuch
     */
    public function start(User $user, TaskKind $kind, array $given, int $weight): Task
    {
        if (Task::query()->where('user_id', $user->id)->where('state', TaskState::Waiting)->count() >= self::WAITING) {
            throw new TooMuch('Twenty pieces of work of yours wait already. Let some of them end first.');
        }
        $task = Task::query()->create([
            'id' => $this->ids->next(),
            'user_id' => $user->id,
            'kind' => $kind,
            'given' => $given,
            'weight' => $weight,
        ]);
        RunTask::dispatch();

        return $task;
    }

    /**
     * The next that is to be done, which is its caller's from now on: first of whoever has the least
     * under way, then the smallest, then the oldest. Null where nothing waits, or only what must.
     */
    public static function claim(): ?Task
    {
        return Transaction::of(static function (): ?Task {
            $query = Task::query()->where('state', TaskState::Waiting)->orWhere('state', TaskState::Running);
            $query->getQuery()->orderBy('id')->lockForUpdate();
            $open = $query->get(['id', 'user_id', 'state', 'weight', 'updated_at']);
            $running = $open->filter(
                static fn(Task $one): bool => $one->state === TaskState::Running
                    && $one->updated_at?->greaterThanOrEqualTo(now()->subSeconds(self::LONGEST)) === true,
            );
            $isFull = $running->contains(static fn(Task $one): bool => $one->weight > self::LARGE);
            $busy = $running->countBy('user_id');
            $order = static fn(Task $one): array => [$busy[$one->user_id] ?? 0, $one->weight, $one->id];
            $next = $open
                ->filter(static fn(Task $one): bool => $one->state === TaskState::Waiting && !($isFull && $one->weight > self::LARGE))
                ->sort(static fn(Task $a, Task $b): int => $order($a) <=> $order($b))
                ->first();
            if ($next === null) {
                return null;
            }
            self::hold($next->id);
            $next->update(['state' => TaskState::Running]);

            return $next->refresh();
        });
    }

    private static function hold(string $task): void
    {
        DB::selectOne('SELECT GET_LOCK(?, 0)', [self::lock($task)]);
    }

    public static function letGo(Task $task): void
    {
        DB::selectOne('SELECT RELEASE_LOCK(?)', [self::lock($task->id)]);
    }

    private static function lock(string $task): string
    {
        return "embrel.task.{$task}";
    }

    /** Says of work whose process is gone that it was broken off, and has the queue know what waits. */
    public static function sweep(): void
    {
        foreach (Task::query()->where('state', TaskState::Running)->get(['id', 'state']) as $task) {
            if ((int) DB::selectOne('SELECT IS_FREE_LOCK(?) AS free', [self::lock($task->id)])?->free === 1) {
                $task->failed(self::BROKEN_OFF);
            }
        }
        $forgotten = Task::query()->where('state', TaskState::Waiting)->where('updated_at', '<', now()->subSeconds(self::FORGOTTEN));
        // What a worker had taken when it was killed is in the queue still, for a quarter of an hour, and brings nothing on.
        if ($forgotten->exists() && Queue::pendingSize() + Queue::delayedSize() === 0) {
            RunTask::dispatch();
        }
    }

    public static function areWaiting(): bool
    {
        return Task::query()->where('state', TaskState::Waiting)->exists();
    }

    /**
     * Once only: of what was said to have failed meanwhile nothing is kept.
     *
     * @param array<string, mixed> $result
     */
    public static function done(Task $task, array $result): void
    {
        if (!$task->became(TaskState::Done, ['result' => $result])) {
            Storage::disk(Task::DISK)->delete($task->id);

            return;
        }
        Replica::wrote((string) $task->user_id);
        self::makeRoom($task->user_id);
    }

    /** The oldest results of a person go where there are too many; each can be made again. */
    private static function makeRoom(int $user): void
    {
        $disk = Storage::disk(Task::DISK);
        $bytes = 0;
        $done = Task::query()->where('user_id', $user)->where('state', TaskState::Done)->get()->sortByDesc('id')->values();
        foreach ($done as $i => $task) {
            $bytes += $disk->exists($task->id) ? $disk->size($task->id) : 0;
            if ($i > 0 && ($i >= self::RESULTS || $bytes > self::RESULTS_BYTES)) {
                $task->forget();
            }
        }
    }

    public static function forgetAll(User $user): void
    {
        Task::query()->where('user_id', $user->id)->get()->each(static fn(Task $task) => $task->forget());
    }

    /** Forgets what is a day old, with its files. */
    public static function purge(): void
    {
        Task::query()->where('updated_at', '<', now()->subDay())->get()->each(static fn(Task $task) => $task->forget());
        Sweep::files(Task::DISK, static fn(string $id): bool => Task::query()->whereKey($id)->exists());
    }
}
