<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan as PlanRow;
use Embrel\Plan\Plan;
use Embrel\Plan\Topic;
use Illuminate\Support\Facades\DB;

/**
 * The rows of a large plan in one value, as they were at a revision: with the few rows that were written since it is the
 * tree of now, for a part of what it takes to read all rows. It lacks nothing up to its revision, and may hold later rows.
 * Without it all works as well.
 */
final class KeptTree
{
    /** Smaller plans are read from their rows. */
    private const FROM = 400;
    /** Rows written since, beyond which it is kept anew. */
    private const BEHIND = 300;
    private const ID = 26;
    private const JSON = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR;

    /** @param array<string, mixed> $body */
    private function __construct(public readonly int $revision, private readonly array $body) {}

    /** @param string $columns what rows hold now: what was kept of others is of no use */
    public static function of(PlanRow $row, string $columns): ?self
    {
        $kept = $row->has_tree ? DB::table('trees')->where('plan_id', $row->id)->first(['revision', 'body']) : null;
        $body = $kept === null ? [] : json_decode($kept->body, true, 512, JSON_THROW_ON_ERROR);

        return ($body['columns'] ?? null) === $columns ? new self((int) $kept?->revision, $body) : null;
    }

    /**
     * Keeps the tree where none is kept, or the one that is kept is far behind. Under the lock of the plan.
     *
     * @param PlanRows $rows    that the tree was read by
     * @param int      $written rows written since
     */
    public static function keepIfDue(PlanRow $row, PlanRows $rows, Plan $plan, int $written): void
    {
        $behind = $rows->behind === null ? self::BEHIND : $rows->behind + $written;
        if (\count($plan->topics) < self::FROM || $behind < self::BEHIND) {
            return;
        }
        $body = json_encode(self::packed([...$rows->standing($row->id)]) + ['columns' => PlanRows::columns()], self::JSON);
        DB::table('trees')->upsert([['plan_id' => $row->id, 'revision' => $row->revision, 'body' => $body]], ['plan_id']);
        $row->forceFill(['has_tree' => true])->save();
    }

    /**
     * Column by column, the parts of each beside each other in their order: read back, that is few steps for each topic.
     *
     * @param list<list<mixed>> $rows
     *
     * @return array<string, mixed>
     */
    private static function packed(array $rows): array
    {
        $heads = array_values(array_filter($rows, static fn(array $row): bool => $row[1] === null));
        $rows = array_values(array_filter($rows, static fn(array $row): bool => $row[1] !== null));
        usort($rows, static fn(array $a, array $b): int => strcmp("{$a[1]} {$a[2]}", "{$b[1]} {$b[2]}"));
        $noted = array_filter($rows, static fn(array $row): bool => (bool) $row[4]);

        return [
            'heads' => $heads,
            'ids' => implode('', array_column($rows, 0)),
            'parts' => array_count_values(array_column($rows, 1)),
            'places' => implode(' ', array_column($rows, 2)),
            'titles' => array_column($rows, 3),
            'words' => array_map(static fn(array $row): int => (int) $row[5], $noted),
            'rest' => array_filter(array_column($rows, 6), \is_string(...)),
        ];
    }

    /**
     * The tree of now.
     *
     * @param list<list<mixed>> $later rows that were written since, as PlanRows reads them, with whether each was removed
     *
     * @return array{Plan, array<string, string>} with the key that each topic has among its siblings
     */
    public function now(Plan $bare, array $later): array
    {
        $ids = $this->body['ids'] === '' ? [] : str_split($this->body['ids'], self::ID);
        $places = array_combine($ids, $ids === [] ? [] : explode(' ', $this->body['places']));
        $parts = $parents = [];
        $at = 0;
        foreach ($this->body['parts'] as $parent => $count) {
            $parts[$parent] = \array_slice($ids, $at, $count);
            $parents += array_fill_keys($parts[$parent], $parent);
            $at += $count;
        }
        $topics = $this->topics($ids) + $bare->topics;
        foreach ($this->body['heads'] as $row) {
            $topics[$row[0]] = PlanRows::topic($row);
        }
        $went = $came = [];
        foreach ($later as $row) {
            [$id, $parent, $place, , , , , $isRemoved] = $row;
            $topics[$id] = PlanRows::topic($row);
            if (!$isRemoved && ($parents[$id] ?? null) === $parent && ($places[$id] ?? null) === $place) {
                continue;
            }
            if (isset($parents[$id])) {
                $went[$parents[$id]][$id] = true;
                unset($parents[$id], $places[$id]);
            }
            if ($isRemoved) {
                unset($topics[$id]);
            } elseif ($parent !== null) {
                $parents[$id] = $parent;
                $places[$id] = $place;
                $came[$parent][] = $id;
            }
        }
        foreach ($went as $parent => $gone) {
            $parts[$parent] = array_values(array_filter($parts[$parent], static fn(string $id): bool => !isset($gone[$id])));
        }
        foreach ($came as $parent => $new) {
            $parts[$parent] = [...$parts[$parent] ?? [], ...$new];
            usort($parts[$parent], static fn(string $a, string $b): int => strcmp($places[$a], $places[$b]));
        }

        return [new Plan($topics, array_filter($parts), $parents, $bare->properties, $bare->foreign), $places];
    }

    /**
     * @param list<string> $ids
     *
     * @return array<string, Topic>
     */
    private function topics(array $ids): array
    {
        ['titles' => $titles, 'words' => $words, 'rest' => $rest] = $this->body;
        $topics = [];
        foreach ($ids as $i => $id) {
            $topics[$id]
                = isset($words[$i]) || isset($rest[$i])
                    ? PlanRows::topic([$id, null, null, $titles[$i], isset($words[$i]), $words[$i] ?? 0, $rest[$i] ?? null])
                    : new Topic($id, $titles[$i]);
        }

        return $topics;
    }
}
