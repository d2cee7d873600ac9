<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan;
use App\Models\User;
use Illuminate\Support\Facades\DB;

/** What is said in a plan, as a page is told it. */
final class Talk
{
    private const COLUMNS = [
        ...['id', 'topic_id', 'thread_id', 'user_id', 'name', 'body', 'anchor', 'proposal', 'outcome', 'outcome_by', 'outcome_why'],
        ...['settled_by', 'edited_at', 'taken_back_at', 'created_at', 'revised'],
    ];

    /**
     * What has changed after one change of what is said, all of it after none.
     *
     * @return array{talk: int, comments: list<array<string, mixed>>}
     */
    public static function since(Plan $plan, User $viewer, int $since = 0): array
    {
        // As rows: of a plan in which much is said, hundreds are told whenever it is opened.
        /** @var list<\stdClass> $comments */
        $comments = DB::table('comments')
            ->where('plan_id', $plan->id)
            ->when($since > 0, static fn($query) => $query->where(
                static fn($either) => $either->where('revised', '>', $since)->orWhere('placed', '>', $since),
            ))
            ->orderBy('created_at')
            ->orderBy('id')
            ->get(self::COLUMNS)
            ->all();
        $mentions = [];
        $named = DB::table('mentions')
            ->join('comments', 'comments.id', '=', 'comment_id')
            ->join('users', 'users.id', '=', 'mentions.user_id')
            ->where('plan_id', $plan->id);
        foreach ($comments === [] ? [] : $named->get(['comment_id', 'mentions.user_id', 'users.name']) as $one) {
            $mentions[$one->comment_id][] = ['name' => (string) $one->name, 'isYou' => (int) $one->user_id === $viewer->id];
        }
        $files = $comments === [] ? [] : Attachments::of($plan->id);

        return [
            'talk' => $plan->talk_revision,
            'comments' => array_map(
                static fn(\stdClass $one): array => self::told($one, $viewer, $mentions[$one->id] ?? [], $files[$one->id] ?? []),
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
    private static function told(\stdClass $one, User $viewer, array $mentions, array $files): array
    {
        $told = [
            'id' => $one->id,
            'topic' => $one->topic_id,
            'by' => $one->name,
            'body' => $one->body,
            'at' => str_replace(' ', 'T', $one->created_at) . '+00:00',
            'revised' => (int) $one->revised,
        ];
        // What is not so is not told.
        foreach ([
            'thread' => $one->thread_id,
            'isOwn' => (int) $one->user_id === $viewer->id,
            'isGuest' => $one->user_id === null,
            'isEdited' => $one->edited_at !== null,
            'isTakenBack' => $one->taken_back_at !== null,
            'settled' => $one->settled_by,
            'anchor' => $one->anchor === null ? null : self::words($one->anchor),
            'proposal' => $one->proposal === null ? null : json_decode($one->proposal, true),
            'outcome' => $one->outcome === null ? null : ['what' => $one->outcome, 'by' => $one->outcome_by, 'why' => $one->outcome_why],
            'mentions' => array_column($mentions, 'name'),
            'isToYou' => $mentions !== [] && \in_array(true, array_column($mentions, 'isYou'), true),
            'files' => $files,
        ] as $name => $value) {
            if ($value !== null && $value !== false && $value !== []) {
                $told[$name] = $value;
            }
        }

        return $told;
    }

    /** @return array<string, mixed> where the words stand that it is about, and what they are; or were */
    private static function words(string $json): array
    {
        /** @var array<string, mixed> $anchor */
        $anchor = json_decode($json, true, 64, JSON_THROW_ON_ERROR);
        $words = mb_substr((string) $anchor['text'], (int) $anchor['from'], (int) $anchor['length']);

        return array_intersect_key($anchor, ['nth' => 1, 'gone' => 1]) + ['words' => $words];
    }
}
