<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Task;
use App\Models\TaskState;
use App\Models\User;
use Illuminate\Contracts\Pagination\LengthAwarePaginator;
use Illuminate\Support\Facades\DB;

/** Accounts as whoever looks after them sees them: who is there, how much they keep and what runs; nothing of what is in their plans. */
final class Accounts
{
    private const AT_ONCE = 50;

    /** @return LengthAwarePaginator<int, User> by name; with `plans_count` */
    public static function page(string $search): LengthAwarePaginator
    {
        $like = '%' . addcslashes($search, '%_\\') . '%';

        return User::query()
            ->withCount('plans')
            ->where(static fn($query) => $query->where('name', 'like', $like)->orWhere('email', 'like', mb_strtolower($like)))
            ->orderBy('name')
            ->orderBy('id')
            ->paginate(self::AT_ONCE)
            ->withQueryString();
    }

    /**
     * @param list<int> $users
     *
     * @return array<int, int> when each was seen last, as a time
     */
    public static function seen(array $users): array
    {
        $seen = DB::table('sessions')
            ->whereIn('user_id', $users)
            ->groupBy('user_id')
            ->selectRaw('user_id, MAX(last_activity) AS at')
            ->pluck('at', 'user_id');

        return array_map(intval(...), $seen->all());
    }

    /** @return array{people: int, closed: int, plans: int, bytes: int, database: int} counts, and bytes */
    public static function sums(): array
    {
        $database = DB::selectOne('SELECT SUM(data_length + index_length) AS bytes FROM information_schema.tables WHERE table_schema = DATABASE()');

        return [
            'people' => User::query()->count(),
            'closed' => User::query()->whereNotNull('closed_at')->count(),
            'plans' => DB::table('plans')->whereNull('deleted_at')->count(),
            'bytes' => (int) DB::table('pictures')->sum('size') + (int) DB::table('attachments')->sum('bytes'),
            'database' => (int) ($database->bytes ?? 0),
        ];
    }

    /** @return list<Task> long work that waits or is under way, the oldest first, with whose it is */
    public static function work(): array
    {
        /** @var list<Task> */
        return Task::query()->with('user')->whereIn('state', TaskState::OPEN)->orderBy('id')->limit(self::AT_ONCE)->get()->all();
    }

    /** Nobody comes in by it any more, and whoever is in is out; all that is in it stays. */
    public static function close(User $user): void
    {
        $user->forceFill(['closed_at' => now()])->save();
        Devices::signOut($user, '');
    }

    public static function open(User $user): void
    {
        $user->forceFill(['closed_at' => null])->save();
    }

    /** How people come to have an account here. */
    public static function areOpen(): bool
    {
        return config('embrel.sign_up') === 'open';
    }

    public static function areByInvitation(): bool
    {
        return config('embrel.sign_up') !== 'closed';
    }
}
