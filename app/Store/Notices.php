<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Comment;
use App\Models\Plan;
use App\Models\User;
use App\Notifications\Said;
use Illuminate\Support\Facades\DB;

/** Who hears of what was said: on the page, and by letter as each wishes. Nobody hears of what they said themselves. */
final class Notices
{
    /** For so many days they are kept. */
    private const KEPT = 90;

    /** To all whom a new comment concerns: whoever it names, those whom it answers, and those who write in the plan. */
    public static function told(Plan $plan, Comment $comment, ?User $by): void
    {
        $people = People::of($plan);
        $kinds = array_fill_keys(self::mention($people, $comment, $by), NoticeKind::Mention);
        if ($comment->thread_id !== null) {
            $thread = DB::table('comments')
                ->where('plan_id', $plan->id)
                ->where(static fn($query) => $query->where('id', $comment->thread_id)->orWhere('thread_id', $comment->thread_id))
                ->whereNotNull('user_id')
                ->distinct()
                ->pluck('user_id')
                ->all();
            $kinds += array_fill_keys(array_map(intval(...), $thread), NoticeKind::Answer);
        }
        foreach ($people as $person) {
            if (\in_array($person['role'], ['owner', 'writes'], true)) {
                $kinds += [$person['id'] => NoticeKind::Comment];
            }
        }
        self::keep($plan, $comment, $by, array_intersect_key($kinds, array_flip(array_column($people, 'id'))));
    }

    /** To those whom a comment names since it was changed. */
    public static function mentioned(Plan $plan, Comment $comment, User $by): void
    {
        $before = DB::table('mentions')->where('comment_id', $comment->id)->pluck('user_id')->map(intval(...))->all();
        $now = self::mention(People::of($plan), $comment, $by);
        self::keep($plan, $comment, $by, array_fill_keys(array_diff($now, $before), NoticeKind::Mention));
    }

    /**
     * @param list<array{id: int, name: string, role: string}> $people of the plan
     *
     * @return list<int> those whom a comment names by @ and their name, which is kept
     */
    private static function mention(array $people, Comment $comment, ?User $by): array
    {
        DB::table('mentions')->where('comment_id', $comment->id)->delete();
        // Of two names of which one begins the other, the longer is meant.
        usort($people, static fn(array $a, array $b): int => mb_strlen($b['name']) <=> mb_strlen($a['name']));
        $text = mb_strtolower($comment->body);
        $named = [];
        foreach ($people as $person) {
            $sign = '@' . mb_strtolower($person['name']);
            if ($sign !== '@' && str_contains($text, $sign)) {
                $text = str_replace($sign, ' ', $text);
                $named[] = $person['id'];
            }
        }
        DB::table('mentions')->insert(array_map(static fn(int $id): array => ['comment_id' => $comment->id, 'user_id' => $id], $named));

        return array_values(array_diff($named, [$by?->id]));
    }

    /** @param array<int, NoticeKind> $kinds person → of what kind it is to them */
    private static function keep(Plan $plan, Comment $comment, ?User $by, array $kinds): void
    {
        unset($kinds[$by->id ?? 0]);
        $ids = new NewIds();
        /** @var User $person */
        foreach (User::query()->whereIn('id', array_keys($kinds))->get() as $person) {
            $id = $ids->next();
            DB::table('notices')->insert([
                'id' => $id, 'user_id' => $person->id, 'plan_id' => $plan->id, 'comment_id' => $comment->id,
                'kind' => $kinds[$person->id]->value, 'by' => $comment->name,
            ]);
            if ($person->letters($kinds[$person->id]) === Letters::AtOnce) {
                $person->notify((new Said($id))->afterCommit());
            }
        }
    }

    /**
     * What a person has not seen yet, the newest first.
     *
     * @return list<array{id: string, says: string, plan: string, title: string, comment: string, at: string}>
     */
    public static function unseen(User $user, int $most = 30): array
    {
        return array_values(self::query($user)->whereNull('seen_at')->limit($most)->get()->map(static fn(\stdClass $one): array => [
            'id' => (string) $one->id,
            'says' => NoticeKind::from($one->kind)->says((string) $one->by),
            'plan' => (string) $one->plan_id,
            'title' => (string) $one->title,
            'comment' => (string) $one->comment_id,
            'at' => (string) $one->created_at,
        ])->all());
    }

    /**
     * What is to go out in one letter now.
     *
     * @return list<array{id: string, says: string, plan: string, title: string, body: string, comment: string}> oldest first
     */
    public static function forLetter(User $user): array
    {
        $kinds = array_filter(NoticeKind::cases(), static fn(NoticeKind $kind): bool => $user->letters($kind) === Letters::Daily);

        return array_values(
            self::query($user)
                ->whereNull('seen_at')
                ->whereNull('mailed_at')
                ->whereIn('kind', array_column($kinds, 'value'))
                ->get()
                ->reverse()
                ->map(self::lettered(...))
                ->all(),
        );
    }

    /** @return array{id: string, says: string, plan: string, title: string, body: string, comment: string}|null null: there is nothing to tell any more */
    public static function one(User $user, string $id): ?array
    {
        $found = self::query($user)->where('notices.id', $id)->whereNull('seen_at')->whereNull('mailed_at')->first();

        return $found === null ? null : self::lettered($found);
    }

    /** @return array{id: string, says: string, plan: string, title: string, body: string, comment: string} */
    private static function lettered(\stdClass $one): array
    {
        return [
            'id' => (string) $one->id,
            'says' => NoticeKind::from($one->kind)->says((string) $one->by),
            'plan' => (string) $one->plan_id,
            'title' => (string) $one->title,
            'body' => (string) $one->body,
            'comment' => (string) $one->comment_id,
        ];
    }

    /** @param list<string> $ids */
    public static function mailed(array $ids): void
    {
        DB::table('notices')->whereIn('id', $ids)->update(['mailed_at' => now()]);
    }

    /** A person has come to what was said in a plan; null: to all. */
    public static function saw(User $user, ?string $plan): void
    {
        DB::table('notices')
            ->where('user_id', $user->id)
            ->when($plan !== null, static fn($query) => $query->where('plan_id', $plan))
            ->whereNull('seen_at')
            ->update(['seen_at' => now()]);
    }

    public static function purge(): void
    {
        DB::table('notices')->where('created_at', '<', now()->subDays(self::KEPT))->delete();
    }

    /** Only of plans that the person may see now, and of comments that still stand. */
    private static function query(User $user): \Illuminate\Database\Query\Builder
    {
        return DB::table('notices')
            ->join('plans', 'plans.id', '=', 'notices.plan_id')
            ->join('comments', 'comments.id', '=', 'notices.comment_id')
            ->where('notices.user_id', $user->id)
            ->whereNull('comments.taken_back_at')
            ->whereIn('plans.id', \App\Access\Access::readable($user->id)->select('id'))
            ->orderByDesc('notices.created_at')
            ->orderByDesc('notices.id')
            ->select(['notices.*', 'plans.title', 'comments.body']);
    }
}
