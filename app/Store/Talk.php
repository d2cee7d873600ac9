<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Comment;
use App\Models\Plan;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** What is said in a plan, as a page is told it. */
final class Talk
{
    /**
     * What has changed after one change of what is said, all of it after none.
     *
     * @return array{talk: int, comments: list<array<string, mixed>>}
     */
    public static function since(Plan $plan, User $viewer, int $since = 0): array
    {
        /** @var list<Comment> $comments */
        $comments = Comment::query()
            ->where('plan_id', $plan->id)
            ->when($since > 0, static fn($query) => $query->where(
                static fn($either) => $either->where('revised', '>', $since)->orWhere('placed', '>', $since),
            ))
            ->orderBy('created_at')
            ->orderBy('id')
            ->get()
            ->all();
        $mentions = [];
        $ids = array_column($comments, 'id');
        foreach (DB::table('mentions')->join('users', 'users.id', '=', 'user_id')->whereIn('comment_id', $ids)->get() as $one) {
            $mentions[$one->comment_id][] = ['name' => (string) $one->name, 'isYou' => (int) $one->user_id === $viewer->id];
        }
        $files = $comments === [] ? [] : Attachments::of($plan->id);

        return [
            'talk' => $plan->talk_revision,
            'comments' => array_map(
                static fn(Comment $one): array => self::told($one, $viewer, $mentions[$one->id] ?? [], $files[$one->id] ?? []),
                $comments,
            ),
        ];
    }

    /**
     * @param list<array{name: string, isYou: bool}> $mentions
     * @param list<array<string, mixed>>             $files
     *
     * @return array<string, mixed>
     */
    private static function told(Comment $one, User $viewer, array $mentions, array $files): array
    {
        return array_filter([
            'id' => $one->id,
            'topic' => $one->topic_id,
            'thread' => $one->thread_id,
            'by' => $one->name,
            'isOwn' => $one->user_id === $viewer->id,
            'isGuest' => $one->user_id === null,
            'body' => $one->body,
            'at' => $one->created_at->toIso8601String(),
            'isEdited' => $one->edited_at !== null,
            'isTakenBack' => $one->taken_back_at !== null,
            'settled' => $one->settled_by,
            'anchor' => self::words($one),
            'proposal' => $one->proposal,
            'outcome' => $one->outcome === null ? null : ['what' => $one->outcome, 'by' => $one->outcome_by, 'why' => $one->outcome_why],
            'mentions' => array_column($mentions, 'name'),
            'isToYou' => \in_array(true, array_column($mentions, 'isYou'), true),
            'files' => $files,
            'revised' => $one->revised,
        ], static fn(mixed $value): bool => $value !== null && $value !== false && $value !== []);
    }

    /** @return array<string, mixed>|null where the words stand that it is about, and what they are; or were */
    private static function words(Comment $one): ?array
    {
        if ($one->anchor === null) {
            return null;
        }
        $anchor = $one->anchor;
        $words = mb_substr((string) $anchor['text'], (int) $anchor['from'], (int) $anchor['length']);

        return array_intersect_key($anchor, ['nth' => 1, 'gone' => 1]) + ['words' => $words];
    }
}
