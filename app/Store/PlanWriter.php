<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan as PlanRow;
use Embrel\Check\Text\Reader;
use Embrel\Citation\Source;
use Embrel\Citation\SourceForm;
use Embrel\Limits;
use Embrel\Plan\Comparison;
use Embrel\Plan\Plan;
use Embrel\Plan\Topic;
use Illuminate\Support\Facades\DB;

/** Writes the rows in which two states of a plan differ, and no others. */
final class PlanWriter
{
    private const CHUNK = 500;

    public function __construct(private readonly PlanRows $rows) {}

    /** @return int how many rows of topics were written */
    public function write(PlanRow $row, Plan $before, Plan $after, int $revision, ?Comparison $comparison = null): int
    {
        $comparison ??= Comparison::between($before, $after);
        $changed = $comparison->changed;
        unset($changed[Plan::BIN]);
        $removed = $restored = [];
        foreach ($comparison->moved as $id) {
            $isIn = $after->isLive($id);
            $wasIn = isset($before->topics[$id]) && $before->isLive($id);
            if ($isIn) {
                $changed[$id] = true;
            }
            if ($wasIn && !$isIn) {
                array_push($removed, ...$after->branch($id));
            } elseif (!$wasIn && $isIn && isset($before->topics[$id])) {
                array_push($restored, ...$after->branch($id));
            }
        }
        $this->markRemoved($row->id, array_values(array_unique($removed)), $after, $revision);
        $this->markRestored($row->id, $restored, $revision);
        $places = $this->newPlaces($row->id, $before, $after, $comparison->regrouped);
        $this->upsert($row->id, $before, $after, array_keys($changed + $places), $places, $revision);
        $this->writeNotes($row->id, $before, $after, array_keys($changed));
        $this->writeSources($row->id, $before, $after);
        $this->writeRelations($row->id, $before, $after);

        return \count($changed + $places) + \count($removed) + \count($restored);
    }

    private function writeSources(string $planId, Plan $before, Plan $after): void
    {
        if ($before->sources === $after->sources) {
            return;
        }
        $gone = array_keys(array_diff_key($before->sources, $after->sources));
        DB::table('sources')
            ->where('plan_id', $planId)
            ->whereIn('id', $gone)
            ->update(['removed_at' => now()]);
        $new = array_filter($after->sources, static fn(Source $source): bool => ($before->sources[$source->id] ?? null) !== $source);
        foreach (array_chunk($new, self::CHUNK) as $chunk) {
            DB::table('sources')->upsert(
                array_map(
                    static fn(Source $source): array => [
                        'plan_id' => $planId,
                        'id' => $source->id,
                        'title' => $source->title,
                        'body' => self::body($source),
                        'removed_at' => null,
                    ],
                    $chunk,
                ),
                ['plan_id', 'id'],
            );
        }
    }

    /** All but id and title, which have columns of their own; null where there is nothing else. */
    private static function body(Source $source): ?string
    {
        $rest = array_diff_key(SourceForm::toArray($source), ['id' => 1, 'title' => 1]);

        return $rest === [] ? null : json_encode($rest, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR);
    }

    private function writeRelations(string $planId, Plan $before, Plan $after): void
    {
        if ($before->relations === $after->relations) {
            return;
        }
        $gone = array_keys(array_diff_key($before->relations, $after->relations));
        DB::table('relations')
            ->where('plan_id', $planId)
            ->whereIn('id', $gone)
            ->update(['removed_at' => now()]);
        $rows = [];
        foreach ($after->relations as $id => $relation) {
            if (($before->relations[$id] ?? null) !== $relation) {
                ['from' => $from, 'to' => $to, 'bend' => $bend] = $all = $relation->toArray();
                unset($all['from'], $all['to']);
                $rows[]
                    = [
                        'plan_id' => $planId,
                        'from_id' => $from,
                        'to_id' => $to,
                        'bend' => $bend === null ? null : json_encode($bend),
                        'removed_at' => null,
                    ] + $all;
            }
        }
        DB::table('relations')->upsert($rows, ['plan_id', 'id']);
    }

    /** @param list<string> $ids whole branches */
    private function markRemoved(string $planId, array $ids, Plan $after, int $revision): void
    {
        foreach (array_chunk($ids, self::CHUNK) as $chunk) {
            DB::table('topics')
                ->where('plan_id', $planId)
                ->whereIn('id', $chunk)
                ->update(['removed_at' => now(), 'revision' => $revision]);
        }
        // The heads give their key free; what is under them keeps its own for the way back.
        $heads = array_values(array_filter($ids, static fn(string $id): bool => $after->parent($id) === Plan::BIN));
        foreach (array_chunk($heads, self::CHUNK) as $chunk) {
            DB::table('topics')
                ->where('plan_id', $planId)
                ->whereIn('id', $chunk)
                ->update(['place' => null]);
        }
    }

    /** @param list<string> $ids */
    private function markRestored(string $planId, array $ids, int $revision): void
    {
        foreach (array_chunk($ids, self::CHUNK) as $chunk) {
            DB::table('topics')
                ->where('plan_id', $planId)
                ->whereIn('id', $chunk)
                ->update(['removed_at' => null, 'revision' => $revision]);
        }
    }

    /**
     * @param list<string> $regrouped
     *
     * @return array<string, string>
     */
    private function newPlaces(string $planId, Plan $before, Plan $after, array $regrouped): array
    {
        $places = [];
        foreach (array_diff($regrouped, [Plan::BIN]) as $parent) {
            $ids = $after->parts($parent);
            $keys = [];
            foreach ($ids as $id) {
                if (($before->parents[$id] ?? null) === $parent && isset($this->rows->places[$id])) {
                    $keys[$id] = $this->rows->places[$id];
                }
            }
            $places += Places::for($ids, $keys);
        }
        $stale = array_keys(array_intersect_key($this->rows->places, $places));
        // Keys are unique among siblings: the old ones must be out of the way before any new one comes.
        foreach (array_chunk($stale, self::CHUNK) as $chunk) {
            DB::table('topics')
                ->where('plan_id', $planId)
                ->whereIn('id', $chunk)
                ->update(['place' => null]);
        }
        $this->rows->places = $places + $this->rows->places;

        return $places;
    }

    /**
     * @param list<string>          $ids
     * @param array<string, string> $places
     */
    private function upsert(string $planId, Plan $before, Plan $after, array $ids, array $places, int $revision): void
    {
        $rows = [];
        $levels = [];
        foreach ($ids as $id) {
            $parent = $after->parent($id);
            $isLive = $after->isLive($id);
            // What was changed or made and then removed, all in one batch, is kept as it was last: undo may want it.
            $rows[$id] = $this->row(
                $planId,
                $after->topic($id),
                $parent === Plan::BIN ? $before->parent($id) ?? Plan::ROOT : $parent,
                $parent === Plan::BIN ? null : $places[$id] ?? ($this->rows->places[$id] ?? null),
                $revision,
                $isLive,
            );
            $levels[$id] = $after->level($id) + ($isLive ? 0 : Limits::LEVELS);
        }
        // Parents before their parts, as the foreign key wants it.
        asort($levels);
        $ordered = array_map(static fn(string $id): array => $rows[$id], array_keys($levels));
        foreach (array_chunk($ordered, self::CHUNK) as $chunk) {
            DB::table('topics')->upsert($chunk, ['plan_id', 'id']);
        }
    }

    /** @return array<string, mixed> */
    private function row(string $planId, Topic $topic, ?string $parent, ?string $place, int $revision, bool $isLive): array
    {
        return [
            'plan_id' => $planId,
            'id' => $topic->id,
            'parent_id' => $parent,
            'place' => $place,
            'title' => $topic->title,
            'noted' => $topic->noted,
            'words' => $topic->words,
            'revision' => $revision,
            'removed_at' => $isLive ? null : now(),
        ] + PlanRows::fields($topic);
    }

    /** @param list<string> $ids */
    private function writeNotes(string $planId, Plan $before, Plan $after, array $ids): void
    {
        $rows = [];
        foreach ($ids as $id) {
            $topic = $after->topic($id);
            if ($topic->note !== null && $topic->note !== ($before->topics[$id] ?? null)?->note) {
                $rows[] = [
                    'plan_id' => $planId,
                    'topic_id' => $id,
                    'body' => $topic->note->toJson(),
                    'plain' => $topic->note->plainText(),
                    'words' => $topic->words,
                    'reading' => PlanChecks::stored(Reader::note($topic->note, $after->properties->language)),
                ];
            }
        }
        foreach (array_chunk($rows, 100) as $chunk) {
            DB::table('notes')->upsert($chunk, ['plan_id', 'topic_id']);
        }
    }
}
