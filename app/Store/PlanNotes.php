<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan as PlanRow;
use App\Models\User;
use Embrel\RichText\Node;
use Embrel\RichText\Note;
use Illuminate\Support\Facades\DB;

/** The notes of a plan as a page reads them, without the tree. */
final class PlanNotes
{
    /** Of notes as they are stored, in bytes: so much is told at once. */
    private const AT_ONCE = 1_000_000;
    /** In seconds: who wrote so long ago writes still. */
    private const MOMENT = 60;

    /** @return array{Note, int}|null the note of a topic and when its row was written last; null: there is no such topic */
    public static function of(PlanRow $plan, string $topic): ?array
    {
        $row = DB::table('topics')
            ->leftJoin('notes', static fn($join) => $join->on('notes.plan_id', 'topics.plan_id')->on('notes.topic_id', 'topics.id'))
            ->where('topics.plan_id', $plan->id)
            ->where('topics.id', $topic)
            ->whereNull('removed_at')
            ->first(['body', 'revision']);

        return $row === null ? null : [$row->body === null ? Note::empty() : Note::fromJson($row->body), (int) $row->revision];
    }

    /** Who beside a person changed a topic a moment ago; null: nobody. */
    public static function lastWriter(PlanRow $plan, string $topic, User $user): ?string
    {
        $last = DB::table('operation_things')
            ->join('operations', static fn($join) => $join
                ->on('operations.plan_id', 'operation_things.plan_id')
                ->on('operations.seq', 'operation_things.seq'))
            ->join('users', 'users.id', '=', 'operations.user_id')
            ->where('operation_things.plan_id', $plan->id)
            ->where('operation_things.thing', $topic)
            ->where('operations.user_id', '!=', $user->id)
            ->where('operations.at', '>=', now()->subSeconds(self::MOMENT))
            ->orderByDesc('operation_things.seq')
            ->value('users.name');

        return $last === null ? null : (string) $last;
    }

    /**
     * Those that were written after a revision, some at a time.
     *
     * @param string $after the last topic of those that were told before
     *
     * @return array{array<string, array<string, mixed>>, string|null} topic → its note as a page keeps it; and from which on there is more
     */
    public static function since(PlanRow $plan, int $revision, string $after): array
    {
        $rows = DB::table('topics')
            ->join('notes', static fn($join) => $join->on('notes.plan_id', 'topics.plan_id')->on('notes.topic_id', 'topics.id'))
            ->where('topics.plan_id', $plan->id)
            ->whereNull('removed_at')
            ->where('revision', '>', $revision)
            ->where('topics.id', '>', $after)
            ->orderBy('topics.id')
            ->select(['topics.id', 'body', 'revision']);
        $notes = [];
        $bytes = 0;
        foreach ($rows->cursor() as $row) {
            if ($bytes > self::AT_ONCE) {
                return [$notes, (string) array_key_last($notes)];
            }
            $bytes += \strlen($row->body);
            $notes[$row->id] = self::told($plan, Note::fromJson($row->body), (int) $row->revision);
        }

        return [$notes, null];
    }

    /** @return array<string, mixed> a note as a page keeps it, with how its citations are called */
    public static function told(PlanRow $plan, Note $note, int $revision): array
    {
        return [
            'revision' => $revision,
            'blocks' => array_map(static fn(Node $block): array => $block->toArray(), array_values($note->blocks)),
            'labels' => (object) PlanSources::called($plan, $note),
        ];
    }
}
