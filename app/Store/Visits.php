<?php

declare(strict_types=1);

namespace App\Store;

use App\Access\Access;
use App\Models\Plan;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/**
 * How far each person has seen what others did in a plan. What was changed after that, by another, is new to them until
 * they come to it. Who opens a plan for the first time finds nothing new in it.
 */
final class Visits
{
    /** So many topics are marked at the most; beyond that all is as good as new. */
    private const MOST = 5000;

    /**
     * Of who opens the plan.
     *
     * @return array{since: int, talk: int, topics: list<string>} topics that others have changed last, since then; up to which
     *                                                            change of what is said all was seen
     */
    public static function begin(User $user, Plan $plan): array
    {
        $row = self::row($user, $plan);
        if ($row === null) {
            DB::table('visits')->insertOrIgnore([
                'user_id' => $user->id, 'plan_id' => $plan->id, 'revision' => $plan->revision, 'talk_revision' => $plan->talk_revision,
            ]);

            return ['since' => $plan->revision, 'talk' => $plan->talk_revision, 'topics' => []];
        }

        if ($row['revision'] < $plan->revision && !self::hasNews($user, $plan->id, $row['revision'])) {
            // Only they themselves have done something since.
            self::own($user, $plan)->update(['revision' => $plan->revision, 'seen' => null]);
            $row['revision'] = $plan->revision;
        }
        $topics = $row['revision'] < $plan->revision ? self::topics($user, $plan->id, $row['revision'], $row['seen']) : [];

        return ['since' => $row['revision'], 'talk' => $row['talk'], 'topics' => $topics];
    }

    /**
     * They have come to some of what is new.
     *
     * @param list<string> $topics
     * @param int|null     $upTo   all that was done up to this revision; null: only the topics
     */
    public static function saw(User $user, Plan $plan, array $topics, ?int $upTo): void
    {
        Transaction::of(static function () use ($user, $plan, $topics, $upTo): void {
            $row = self::row($user, $plan, true);
            if ($row === null) {
                return;
            }
            $upTo = $upTo === null ? null : min($upTo, $plan->revision);
            $seen = array_values(array_unique([...$row['seen'], ...$topics]));
            if ($upTo === null && self::topics($user, $plan->id, $row['revision'], $seen) === []) {
                $upTo = $plan->revision;
            }
            self::own($user, $plan)->update(
                $upTo !== null && $upTo >= $row['revision']
                    ? ['revision' => $upTo, 'seen' => null]
                    : ['seen' => json_encode(\array_slice($seen, 0, self::MOST), JSON_THROW_ON_ERROR)],
            );
        });
    }

    /** They have seen what is said. */
    public static function heard(User $user, Plan $plan): void
    {
        self::own($user, $plan)->update(['talk_revision' => $plan->talk_revision]);
    }

    /**
     * How much is new in all plans that a person may see.
     *
     * @return array<string, array{changes: int, comments: int, by: list<string>}> plan → steps and comments of others since,
     *                                                                             and by whom; only where there are any
     */
    public static function news(User $user): array
    {
        $plans = Access::readable($user->id)->select('id');
        $news = [];
        $changes = DB::table('visits')
            ->join('operations', static fn($join) => $join
                ->on('operations.plan_id', 'visits.plan_id')
                ->on('operations.seq', '>', 'visits.revision'))
            ->leftJoin('users', 'users.id', '=', 'operations.user_id')
            ->where('visits.user_id', $user->id)
            ->whereIn('visits.plan_id', $plans)
            ->where(self::byOthers($user, 'operations.user_id'))
            ->groupBy('visits.plan_id', 'users.name')
            ->selectRaw('visits.plan_id, users.name, COUNT(DISTINCT operations.step_id) AS steps')
            ->get();
        foreach ($changes as $row) {
            $plan = $news[$row->plan_id] ?? ['changes' => 0, 'comments' => 0, 'by' => []];
            $plan['changes'] += (int) $row->steps;
            $plan['by'][] = (string) ($row->name ?? User::GONE);
            $news[$row->plan_id] = $plan;
        }
        $comments = DB::table('visits')
            ->join('comments', static fn($join) => $join
                ->on('comments.plan_id', 'visits.plan_id')
                ->on('comments.revised', '>', 'visits.talk_revision'))
            ->where('visits.user_id', $user->id)
            ->whereIn('visits.plan_id', $plans)
            ->whereNull('comments.taken_back_at')
            ->where(self::byOthers($user, 'comments.user_id'))
            ->groupBy('visits.plan_id')
            ->selectRaw('visits.plan_id, COUNT(*) AS comments')
            ->pluck('comments', 'plan_id');
        foreach ($comments as $id => $count) {
            $news[$id] = ['comments' => (int) $count] + ($news[$id] ?? ['changes' => 0, 'by' => []]);
        }

        return $news;
    }

    private static function hasNews(User $user, string $plan, int $since): bool
    {
        return DB::table('operations')
            ->where('plan_id', $plan)
            ->where('seq', '>', $since)
            ->where(self::byOthers($user, 'user_id'))
            ->exists();
    }

    /** @return \Closure(\Illuminate\Contracts\Database\Query\Builder): mixed */
    private static function byOthers(User $user, string $column): \Closure
    {
        // Of an account that is gone nothing is left but what it did.
        return static fn($query) => $query->where($column, '!=', $user->id)->orWhereNull($column);
    }

    private static function own(User $user, Plan $plan): \Illuminate\Database\Query\Builder
    {
        return DB::table('visits')->where('user_id', $user->id)->where('plan_id', $plan->id);
    }

    /**
     * @param list<string> $seen
     *
     * @return list<string>
     */
    private static function topics(User $user, string $plan, int $since, array $seen): array
    {
        /** @var list<string> $topics */
        $topics = DB::table('topics')
            ->join('operations', static fn($join) => $join
                ->on('operations.plan_id', 'topics.plan_id')
                ->on('operations.seq', 'topics.revision'))
            ->where('topics.plan_id', $plan)
            ->where('topics.revision', '>', $since)
            ->whereNull('topics.removed_at')
            ->where(self::byOthers($user, 'operations.user_id'))
            ->limit(self::MOST)
            ->pluck('topics.id')
            ->all();

        return array_values(array_diff($topics, $seen));
    }

    /** @return array{revision: int, talk: int, seen: list<string>}|null */
    private static function row(User $user, Plan $plan, bool $isLocked = false): ?array
    {
        $query = self::own($user, $plan);
        $row = ($isLocked ? $query->lockForUpdate() : $query)->first(['revision', 'talk_revision', 'seen']);
        if ($row === null) {
            return null;
        }
        /** @var list<string> $seen */
        $seen = json_decode($row->seen ?? '[]', true) ?: [];

        return ['revision' => (int) $row->revision, 'talk' => (int) $row->talk_revision, 'seen' => $seen];
    }
}
