<?php

declare(strict_types=1);

namespace App\Store;

use Embrel\Comment\Anchor;
use Embrel\Plan\Comparison;
use Embrel\Plan\Plan;
use Embrel\RichText\Note;
use Embrel\Shape;
use Illuminate\Support\Facades\DB;

/** Comments on words follow these through every change of a note, into another note too; and wait for them where they have gone. */
final class CommentPlaces
{
    /** Under the lock of the plan. */
    public static function follow(string $plan, Plan $before, Plan $after, Comparison $comparison): void
    {
        $notes = self::changed($before, $after, $comparison);
        if ($notes === []) {
            return;
        }
        $rows = DB::table('comments')
            ->where('plan_id', $plan)
            ->whereIn('topic_id', array_keys($notes))
            ->whereNotNull('anchor')
            ->get(['id', 'topic_id', 'anchor']);
        $stamp = null;
        foreach ($rows as $row) {
            $was = Anchor::read(new Shape(json_decode($row->anchor, true, 64, JSON_THROW_ON_ERROR), 'anchor'));
            [$topic, $is] = self::found($was, (string) $row->topic_id, $notes);
            if ($topic === $row->topic_id && $is == $was) {
                continue;
            }
            $set = ['topic_id' => $topic, 'anchor' => json_encode($is->toArray(), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE)];
            if ($topic !== $row->topic_id || [$is->words(), $is->nth, $is->isGone] !== [$was->words(), $was->nth, $was->isGone]) {
                $set['placed'] = $stamp ??= Comments::stamp($plan);
            }
            DB::table('comments')->where('id', $row->id)->update($set);
            if ($topic !== $row->topic_id) {
                DB::table('comments')->where('thread_id', $row->id)->update(['topic_id' => $topic, 'placed' => $set['placed'] ?? 0]);
            }
        }
    }

    /** @return array<string, Note> topic → its note as it is, of those whose notes are others; of a removed one none of its words are told */
    private static function changed(Plan $before, Plan $after, Comparison $comparison): array
    {
        $notes = [];
        foreach (array_keys($comparison->changed) as $id) {
            $is = $after->topics[$id]->note;
            if ($is !== null && $is !== ($before->topics[$id]->note ?? null)) {
                $notes[(string) $id] = $is;
            }
        }

        return $notes;
    }

    /**
     * @param array<string, Note> $notes
     *
     * @return array{string, Anchor} in its own note, or in another that was changed in the same step
     */
    private static function found(Anchor $was, string $topic, array $notes): array
    {
        $own = $was->in($notes[$topic] ?? null);
        if ($own !== null) {
            return [$topic, $own];
        }
        foreach (array_diff_key($notes, [$topic => true]) as $other => $note) {
            $there = $was->in($note);
            if ($there !== null && $there->words() === $was->words()) {
                return [(string) $other, $there];
            }
        }

        return [$topic, $was->isGone ? $was : $was->gone()];
    }
}
