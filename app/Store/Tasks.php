<?php

declare(strict_types=1);

namespace App\Store;

use App\Jobs\RunTask;
use App\Models\User;
use Embrel\Id\Ids;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Storage;

/** Long work that goes through the queue: how far it is, and what came of it. */
final readonly class Tasks
{
    private const FOLDER = 'tasks';
    /** Of one person: how many may wait, and how many results are kept, with how many bytes in all. */
    private const WAITING = 20;
    private const RESULTS = 10;
    private const RESULTS_BYTES = 512 * 1024 * 1024;
    /** From this weight on (bytes to be read, or about as many to be written) it is large: one worker is kept from those. */
    private const LARGE = 4_000_000;
    /** In seconds; what runs longer has been given up (App\Jobs\RunTask). */
    private const LONGEST = 1_000;

    public function __construct(private Ids $ids) {}

    /**
     * @param array<string, mixed> $given  what the work needs to know
     * @param int                  $weight about how many bytes are to be read or written
     *
     * @return array{id: string, address: string}
     */
    public function start(User $user, string $kind, array $given, int $weight): array
    {
        if (DB::table('tasks')->where('user_id', $user->id)->where('state', 'waiting')->count() >= self::WAITING) {
            abort(429, 'Twenty pieces of work of yours wait already. Let some of them end first.');
        }
        $id = $this->ids->next();
        DB::table('tasks')->insert([
            'weight' => $weight,
            'id' => $id,
            'user_id' => $user->id,
            'kind' => $kind,
            'given' => json_encode($given, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
            'created_at' => now(),
            'updated_at' => now(),
        ]);
        RunTask::dispatch();

        return ['id' => $id, 'address' => route('task', $id)];
    }

    /**
     * The next that is to be done, which is its caller's from now on: first of whoever has the least
     * under way, then the smallest, then the oldest. Null where nothing waits, or only what must.
     */
    public static function claim(): ?\stdClass
    {
        return Transaction::of(static function (): ?\stdClass {
            $open = DB::table('tasks')
                ->whereIn('state', ['waiting', 'running'])
                ->orderBy('id')
                ->lockForUpdate()
                ->get(['id', 'user_id', 'state', 'weight', 'updated_at']);
            $running = $open->filter(
                static fn(\stdClass $one): bool => $one->state === 'running'
                    && $one->updated_at >= now()->subSeconds(self::LONGEST)->toDateTimeString(),
            );
            $isFull = $running->contains(static fn(\stdClass $one): bool => $one->weight > self::LARGE);
            $busy = $running->countBy('user_id');
            $next = $open
                ->filter(static fn(\stdClass $one): bool => $one->state === 'waiting' && !($isFull && $one->weight > self::LARGE))
                ->sortBy([
                    static fn(\stdClass $a, \stdClass $b): int => [$busy[$a->user_id] ?? 0, $a->weight, $a->id] <=> [
                        $busy[$b->user_id] ?? 0,
                        $b->weight,
                        $b->id,
                    ],
                ])
                ->first();
            if ($next === null) {
                return null;
            }
            DB::table('tasks')
                ->where('id', $next->id)
                ->update(['state' => 'running', 'updated_at' => now()]);

            return DB::table('tasks')->where('id', $next->id)->first();
        });
    }

    public static function areWaiting(): bool
    {
        return DB::table('tasks')->where('state', 'waiting')->exists();
    }

    /**
     * @return array{state: string, done: int, of: int, says: string, result: array<string, mixed>}|null null where this person has no such task
     */
    public function find(User $user, string $id): ?array
    {
        $row = DB::table('tasks')->where('id', $id)->where('user_id', $user->id)->first();
        $result = $row === null ? null : json_decode((string) $row->result, true);

        return $row === null
            ? null
            : [
                'state' => (string) $row->state,
                'done' => (int) $row->done,
                'of' => (int) $row->of,
                'says' => (string) $row->says,
                'result' => \is_array($result) ? $result : [],
            ];
    }

    public static function progress(string $id, int $done, int $of, string $says): void
    {
        DB::table('tasks')
            ->where('id', $id)
            ->update(['state' => 'running', 'done' => $done, 'of' => $of, 'says' => $says, 'updated_at' => now()]);
    }

    /** @param array<string, mixed> $result */
    public static function done(string $id, array $result): void
    {
        DB::table('tasks')
            ->where('id', $id)
            ->update([
                'state' => 'done',
                'result' => json_encode($result, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
                'updated_at' => now(),
            ]);
        self::makeRoom((int) DB::table('tasks')->where('id', $id)->value('user_id'));
    }

    /** The oldest results of a person go where there are too many; each can be made again. */
    private static function makeRoom(int $user): void
    {
        $bytes = 0;
        foreach (DB::table('tasks')->where('user_id', $user)->where('state', 'done')->orderByDesc('id')->pluck('id') as $i => $id) {
            $bytes += is_file(self::path((string) $id)) ? (int) filesize(self::path((string) $id)) : 0;
            if ($i > 0 && ($i >= self::RESULTS || $bytes > self::RESULTS_BYTES)) {
                File::delete(self::path((string) $id));
                DB::table('tasks')->where('id', $id)->delete();
            }
        }
    }

    public static function failed(string $id, string $says): void
    {
        DB::table('tasks')
            ->where('id', $id)
            ->update(['state' => 'failed', 'says' => $says, 'updated_at' => now()]);
    }

    /** Where the file of a task is kept until it is fetched. */
    public static function path(string $id): string
    {
        Storage::disk('local')->makeDirectory(self::FOLDER);

        return Storage::disk('local')->path(self::FOLDER . "/{$id}");
    }

    public static function forgetAll(User $user): void
    {
        foreach (DB::table('tasks')->where('user_id', $user->id)->pluck('id') as $id) {
            File::delete(self::path((string) $id));
        }
        DB::table('tasks')->where('user_id', $user->id)->delete();
    }

    /** Forgets what is a day old, with its files. */
    public static function purge(): void
    {
        foreach (DB::table('tasks')->where('updated_at', '<', now()->subDay())->pluck('id') as $id) {
            File::delete(self::path((string) $id));
            DB::table('tasks')->where('id', $id)->delete();
        }
        foreach (File::glob(self::path('*')) as $path) {
            if (filemtime($path) < time() - 86_400 && DB::table('tasks')->where('id', basename($path))->doesntExist()) {
                File::delete($path);
            }
        }
    }
}
