<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan as PlanRow;
use Embrel\Citation\Source;
use Embrel\Citation\SourceForm;
use Embrel\Plan\Arrows;
use Embrel\Plan\Dye;
use Embrel\Plan\Edit;
use Embrel\Plan\Field;
use Embrel\Plan\Plan;
use Embrel\Plan\Relation;
use Embrel\Plan\Topic;
use Embrel\RichText\Note;
use Embrel\Shape;
use Illuminate\Support\Facades\DB;

/**
 * Reads a plan's rows as a Plan. The rows come as bare lists, without models: a plan may have
 * thousands, and each change of it loads them all.
 */
final class PlanRows
{
    private const BEFORE = 'id, parent_id, place, title, noted, words';

    /** @var array<string, string> topic → the key it has among its siblings */
    public array $places = [];

    /** @var int|null how many rows lay over the tree that was kept; null: none was kept, or none was asked for */
    public ?int $behind = null;

    /** The tree with everything but the bodies of the notes; nothing of what was removed. */
    public function tree(PlanRow $row): Plan
    {
        $kept = KeptTree::of($row, self::columns());
        if ($kept === null) {
            return $this->built(self::bare($row), $this->standing($row->id));
        }
        $later = [...$this->rows('plan_id = ? AND revision > ?', [$row->id, (string) $kept->revision], ', removed_at IS NOT NULL')];
        $this->behind = \count($later);
        [$plan, $this->places] = $kept->now(self::bare($row), $later);

        return $plan;
    }

    /** @return \Traversable<int, list<mixed>> the rows of all topics that are not removed */
    public function standing(string $planId): \Traversable
    {
        return $this->rows('plan_id = ? AND removed_at IS NULL', [$planId]);
    }

    /**
     * Some topics and those above them, without all else.
     *
     * @param list<string> $ids
     */
    public function around(PlanRow $row, array $ids): Plan
    {
        $rows = [];
        while ($ids !== []) {
            $marks = implode(',', array_fill(0, \count($ids), '?'));
            $read = [...$this->rows("plan_id = ? AND removed_at IS NULL AND id IN ({$marks})", [$row->id, ...$ids])];
            $rows += array_column($read, null, 0);
            $above = array_filter(array_column($read, 1), static fn(?string $id): bool => $id !== null && !isset($rows[$id]));
            $ids = array_values(array_unique($above));
        }

        return $this->built(self::bare($row), $rows);
    }

    private static function bare(PlanRow $row): Plan
    {
        return Plan::titled($row->title, $row->properties())->withForeign($row->foreign ?? []);
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
     * @param list<string>|null $ids null: all that ever were removed
     */
    public function withRemoved(Plan $plan, string $planId, ?array $ids = null): Plan
    {
        if ($ids === []) {
            return $plan;
        }
        $chosen = $ids === null ? '' : ' AND id IN (' . implode(',', array_fill(0, count($ids), '?')) . ')';
        $rows = [...$this->rows("plan_id = ? AND removed_at IS NOT NULL{$chosen}", [$planId, ...$ids ?? []])];
        $known = array_column($rows, 0, 0);
        foreach ($rows as $i => $row) {
            $rows[$i][1] = isset($known[$row[1]]) && $row[2] !== null ? $row[1] : Plan::BIN;
        }

        return $this->built($plan, array_values($rows));
    }

    public function withSources(Plan $plan, string $planId): Plan
    {
        return $plan->withSources(self::sources($planId));
    }

    /** @return array<string, Source> */
    public static function sources(string $planId): array
    {
        $sources = [];
        foreach (
            DB::table('sources')
                ->where('plan_id', $planId)
                ->whereNull('removed_at')
                ->orderBy('id')
                ->get(['id', 'title', 'body']) as $row
        ) {
            $sources[$row->id] = self::source($row);
        }

        return $sources;
    }

    /** @param \stdClass $row with id, title and body */
    public static function source(\stdClass $row): Source
    {
        return SourceForm::read(
            new Shape(
                ['id' => $row->id, 'title' => $row->title]
                    + ($row->body === null ? [] : json_decode($row->body, true, 512, JSON_THROW_ON_ERROR)),
                'source',
            ),
        );
    }

    public function withRelations(Plan $plan, string $planId): Plan
    {
        return $plan->withRelations(self::relations($planId));
    }

    /** @return array<string, Relation> */
    public static function relations(string $planId): array
    {
        $relations = [];
        foreach (DB::table('relations')->where('plan_id', $planId)->whereNull('removed_at')->orderBy('id')->get() as $row) {
            $relations[$row->id] = Relation::of(
                $row->id,
                $row->from_id,
                $row->to_id,
                $row->label,
                $row->dye === null ? null : Dye::of($row->dye),
                Arrows::from($row->arrows),
                $row->bend === null ? null : json_decode($row->bend, true),
            );
        }

        return $relations;
    }

    /**
     * One after the other: to hold all of them at once costs more than to read them.
     *
     * @param list<string> $values
     *
     * @return \Traversable<int, list<mixed>>
     */
    private function rows(string $where, array $values, string $more = ''): \Traversable
    {
        $statement = DB::connection()
            ->getPdo()
            ->prepare('SELECT ' . self::columns() . "{$more} FROM topics WHERE {$where}");
        $statement->setFetchMode(\PDO::FETCH_NUM);
        $statement->execute($values);

        return $statement;
    }

    /** The fields of a topic last, as one text, a JSON list of their stored forms; null where all are usual, as they are of most. */
    public static function columns(): string
    {
        $fields = '`' . implode('`, `', array_column(Field::cases(), 'value')) . '`';

        return self::BEFORE . ", IF(COALESCE({$fields}) IS NULL, NULL, JSON_ARRAY({$fields}))";
    }

    /**
     * Single topics as they were at a revision, without the tree.
     *
     * @param list<string> $ids
     *
     * @return list<array{Topic, string}> each with its parent; those that were changed or removed since are not among them
     */
    public function some(string $planId, array $ids, int $revision): array
    {
        $marks = implode(',', array_fill(0, \count($ids), '?'));
        $where = "plan_id = ? AND removed_at IS NULL AND revision <= ? AND id IN ({$marks})";
        $rows = $ids === [] ? [] : $this->rows($where, [$planId, (string) $revision, ...$ids]);

        return array_map(static fn(array $row): array => [self::topic($row), (string) $row[1]], [...$rows]);
    }

    /**
     * Which of some ids are topics that were removed, up to a revision.
     *
     * @param list<string> $ids
     *
     * @return list<string>
     */
    public function gone(string $planId, array $ids, int $revision): array
    {
        $gone = DB::table('topics')->where('plan_id', $planId)->whereIn('id', $ids)->whereNotNull('removed_at');

        return array_values(array_map(strval(...), $gone->where('revision', '<=', $revision)->pluck('id')->all()));
    }

    /** @param list<mixed> $row in the order of the columns */
    public static function topic(array $row): Topic
    {
        [$id, , , $title, $noted, $words, $rest] = $row;
        if ($rest === null) {
            return new Topic($id, $title, noted: (bool) $noted, words: (int) $words);
        }
        $values = ['id' => $id, 'title' => $title, 'noted' => (bool) $noted, 'words' => (int) $words];
        $forms = json_decode($rest, true, 512, JSON_THROW_ON_ERROR);
        foreach (Field::cases() as $i => $field) {
            if ($forms[$i] !== null) {
                $values[$field->value] = $field->read(new Shape([$field->value => self::form($forms[$i])], 'topics'));
            }
        }

        return new Topic(...$values);
    }

    /** Lists and maps stand in their columns as JSON of their own. */
    private static function form(mixed $column): mixed
    {
        $isJson = \is_string($column) && $column !== '' && ($column[0] === '[' || $column[0] === '{');

        return $isJson ? json_decode($column, true, 512, JSON_THROW_ON_ERROR) : $column;
    }

    /**
     * The fields of a topic, as their columns hold them.
     *
     * @return array<string, string|int|null>
     */
    public static function fields(Topic $topic): array
    {
        $columns = [];
        foreach (Field::cases() as $field) {
            $form = $field->written($topic);
            $columns[$field->value]
                = \is_array($form) ? json_encode($form, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES) : $form;
        }

        return $columns;
    }

    /** @param iterable<list<mixed>> $rows in any order: sorting siblings here costs less than all rows there */
    private function built(Plan $plan, iterable $rows): Plan
    {
        $topics = $plan->topics;
        $parts = $plan->parts;
        $parents = $plan->parents;
        $places = [];
        foreach ($rows as $row) {
            [$id, $parent, $place] = $row;
            $topics[$id] = self::topic($row);
            if ($parent !== null) {
                $parts[$parent][] = $id;
                $parents[$id] = $parent;
                if ($place !== null) {
                    $places[$id] = $place;
                }
            }
        }

        $this->places = $places + $this->places;
        foreach ($parts as $parent => $ids) {
            for ($i = count($ids) - 1; $i > 0; --$i) {
                if (strcmp($this->places[$ids[$i - 1]] ?? '', $this->places[$ids[$i]] ?? '') > 0) {
                    usort($parts[$parent], fn(string $a, string $b): int => strcmp($this->places[$a] ?? '', $this->places[$b] ?? ''));
                    break;
                }
            }
        }

        return new Plan($topics, $parts, $parents, $plan->properties, $plan->foreign, $plan->sources, $plan->relations);
    }
}
