<?php

declare(strict_types=1);

namespace App\Store;

use App\Jobs\RunTask;
use App\Models\User;
use Embrel\Id\Ids;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Storage;

/** Long work that goes through the queue: how far it is, and what came of it. */
final readonly class Tasks
{
    private const FOLDER = 'tasks';

    public function __construct(private Ids $ids) {}

    /**
     * @param array<string, mixed> $given what the work needs to know
     *
     * @return array{id: string, address: string}
     */
    public function start(User $user, string $kind, array $given): array
    {
        $id = $this->ids->next();
        DB::table('tasks')->insert(['id' => $id, 'user_id' => $user->id, 'kind' => $kind, 'given' => json_encode($given, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE), 'created_at' => now(), 'updated_at' => now()]);
        RunTask::dispatch($id);

        return ['id' => $id, 'address' => route('task', $id)];
    }

    /** @return array{state: string, done: int, of: int, says: string, result: array<string, mixed>}|null null where this person has no such task */
    public function find(User $user, string $id): ?array
    {
        $row = DB::table('tasks')->where('id', $id)->where('user_id', $user->id)->first();
        $result = $row === null ? null : json_decode((string) $row->result, true);

        return $row === null ? null : ['state' => (string) $row->state, 'done' => (int) $row->done, 'of' => (int) $row->of, 'says' => (string) $row->says, 'result' => \is_array($result) ? $result : []];
    }

    public static function progress(string $id, int $done, int $of, string $says): void
    {
        DB::table('tasks')->where('id', $id)->update(['state' => 'running', 'done' => $done, 'of' => $of, 'says' => $says, 'updated_at' => now()]);
    }

    /** @param array<string, mixed> $result */
    public static function done(string $id, array $result): void
    {
        DB::table('tasks')->where('id', $id)->update(['state' => 'done', 'result' => json_encode($result, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE), 'updated_at' => now()]);
    }

    public static function failed(string $id, string $says): void
    {
        DB::table('tasks')->where('id', $id)->update(['state' => 'failed', 'says' => $says, 'updated_at' => now()]);
    }

    /** Where the file of a task is kept until it is fetched. */
    public static function path(string $id): string
    {
        Storage::disk('local')->makeDirectory(self::FOLDER);

        return Storage::disk('local')->path(self::FOLDER . "/{$id}");
    }

    /** Forgets what is a day old, with its files. */
    public static function purge(): void
    {
        foreach (DB::table('tasks')->where('updated_at', '<', now()->subDay())->pluck('id') as $id) {
            @unlink(self::path((string) $id));
            DB::table('tasks')->where('id', $id)->delete();
        }
    }
}
