<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan as PlanRow;
use Embrel\Plan\Dye;
use Embrel\Plan\Edit;
use Embrel\Plan\Flag;
use Embrel\Plan\Kind;
use Embrel\Plan\Numbered;
use Embrel\Plan\Plan;
use Embrel\Plan\Target;
use Embrel\Plan\Topic;
use Embrel\RichText\Note;
use Illuminate\Support\Facades\DB;

/**
 * Reads a plan's rows as a Plan. Rows are read without models: a plan may have thousands, and each
 * change of it loads them all.
 */
final class PlanRows
{
    /** The sibling keys as they are in the database: topic → key. @var array<string, string> */
    public array $places = [];
    /** Topic → revision in which its row last changed. @var array<string, int> */
    public array $revisions = [];

    /** The tree with everything but the bodies of the notes; nothing of what was removed. */
    public function tree(PlanRow $row): Plan
    {
        $rows = DB::table('topics')->leftJoin('notes', static fn($join) => $join->on('notes.plan_id', 'topics.plan_id')->on('notes.topic_id', 'topics.id'))
            ->where('topics.plan_id', $row->id)->whereNull('removed_at')->orderBy('place')
            ->get(['topics.id', 'parent_id', 'place', 'title', 'kind', 'numbered', 'dye', 'flag', 'target_words', 'foreign', 'revision', 'words', 'noted'])->all();

        return $this->built(Plan::titled($row->title, $row->properties())->withForeign($row->foreign ?? []), $rows);
    }

    /** @param list<string>|null $ids topics whose notes are loaded; null: all of the plan */
    public function withNotes(Plan $plan, string $planId, ?array $ids = null): Plan
    {
        if ($ids === []) {
            return $plan;
        }
        $query = DB::table('notes')->where('plan_id', $planId);
        if ($ids !== null) {
            $query->whereIn('topic_id', array_values(array_unique($ids)));
        }
        $edit = new Edit($plan);
        foreach ($query->cursor() as $row) {
            if ($plan->has($row->topic_id)) {
                $edit->put($plan->topic($row->topic_id)->withLoadedNote(Note::fromJson($row->body)));
            }
        }

        return $edit->done();
    }

    /**
     * The plan with removed topics under its bin, as they hung together.
     *
     * @param list<string> $ids
     */
    public function withRemoved(Plan $plan, string $planId, array $ids): Plan
    {
        if ($ids === []) {
            return $plan;
        }
        $rows = DB::table('topics')->leftJoin('notes', static fn($join) => $join->on('notes.plan_id', 'topics.plan_id')->on('notes.topic_id', 'topics.id'))
            ->where('topics.plan_id', $planId)->whereNotNull('removed_at')->whereIn('topics.id', $ids)->orderBy('place')
            ->get(['topics.id', 'parent_id', 'place', 'title', 'kind', 'numbered', 'dye', 'flag', 'target_words', 'foreign', 'revision', 'words', 'noted'])->all();
        $known = array_column($rows, 'id', 'id');
        foreach ($rows as $row) {
            $row->parent_id = isset($known[$row->parent_id]) && $row->place !== null ? $row->parent_id : Plan::BIN;
        }

        return $this->built($plan, $rows);
    }

    /** @param list<\stdClass> $rows siblings in order, parents anywhere */
    private function built(Plan $plan, array $rows): Plan
    {
        $topics = $plan->topics;
        $parts = $plan->parts;
        $parents = $plan->parents;
        foreach ($rows as $row) {
            $id = $row->id;
            $topics[$id] = self::topic($row);
            $this->revisions[$id] = (int) $row->revision;
            if ($row->parent_id !== null) {
                $parts[$row->parent_id][] = $id;
                $parents[$id] = $row->parent_id;
                if ($row->place !== null) {
                    $this->places[$id] = $row->place;
                }
            }
        }

        return new Plan($topics, $parts, $parents, $plan->properties, $plan->foreign);
    }

    private static function topic(\stdClass $row): Topic
    {
        return new Topic(
            $row->id,
            $row->title,
            Kind::from($row->kind),
            Numbered::from($row->numbered),
            $row->dye === null ? null : Dye::of($row->dye),
            $row->flag === null ? null : Flag::from($row->flag),
            $row->target_words === null ? null : Target::of((int) $row->target_words),
            (bool) $row->noted,
            (int) $row->words,
            null,
            $row->foreign === null ? [] : json_decode($row->foreign, true),
        );
    }
}
