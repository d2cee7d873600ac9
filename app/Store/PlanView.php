<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan as PlanRow;
use App\Models\User;
use Embrel\Numbering\Runs;
use Embrel\Operation\Order;
use Embrel\Plan\Comparison;
use Embrel\Plan\Place;
use Embrel\Plan\Plan;
use Embrel\Plan\Relation;
use Embrel\Plan\Topic;
use Illuminate\Support\Facades\DB;

/** What a page is told of a plan: the whole at first, then what has changed. Everything is computed here, the page only shows it. */
final class PlanView
{
    /** What most topics are; left out of a plan that is told whole. */
    private const USUAL = [
        'title' => '',
        'kind' => 'section',
        'numbered' => 'usual',
        'dye' => null,
        'flag' => null,
        'target' => null,
        'noted' => false,
        'size' => null,
        'alone' => null,
        'spot' => null,
        'picture' => null,
        'label' => '',
    ];

    /** @return array<string, mixed> the whole plan, for a page that opens */
    public static function whole(PlanRow $row, Plan $plan): array
    {
        $sight = Sight::of($plan);
        $topics = [];
        foreach ([Plan::ROOT, Plan::TRAY] as $home) {
            foreach ($plan->walk($home) as $id => $_) {
                $topics[] = array_diff_assoc(
                    self::topic($plan->topic($id), (string) $plan->parent($id)) + ['label' => $sight->numbering()->own($id)],
                    self::USUAL,
                );
            }
        }

        return [
            'revision' => $row->revision,
            'topics' => $topics,
            'figures' => self::figures($sight, null),
            'relations' => self::relations($row->id),
            'sources' => PlanSources::labels($row),
        ] + self::summary($sight);
    }

    /**
     * What a page is told of its own changes: what they led to, and what undo and redo would do now.
     *
     * @return array<string, mixed>
     */
    public static function of(PlanRow $row, User $user, int $base, Outcome $outcome): array
    {
        $steps = $outcome->says === null ? (new UndoLog($row->id, $user->id))->names() : ['undo' => $outcome->says, 'redo' => null];

        $notes = $outcome->notes === [] ? [] : ['notes' => $outcome->notes];

        return ['steps' => $steps] + $notes + self::since($row, $base, $outcome->after, $outcome->before, $outcome->from);
    }

    /**
     * What has changed since a revision: rows, numbers as runs, words. For a page that is one
     * batch behind the numbers are compared with those before; for any other all are sent.
     *
     * @return array<string, mixed>
     */
    public static function since(PlanRow $row, int $base, Sight $sight, ?Sight $before, int $beforeRevision): array
    {
        $known = $base === $beforeRevision ? $before : null;
        $changed
            = $known !== null && $sight->comparison !== null
                ? self::between($known->plan, $sight->plan, $sight->comparison)
                : self::revised($row->id, $base);

        return [
            'revision' => $row->revision,
            'whole' => $base === 0,
            'rootRevised' => \in_array(Plan::ROOT, $changed, true),
            'topics' => self::told($sight->plan, array_values(array_filter($changed, $sight->plan->isLive(...)))),
            'removed' => array_values(array_filter($changed, static fn(string $id): bool => !$sight->plan->isLive($id))),
            'labels' => [
                'all' => $known === null,
                'runs' => match (true) {
                    $known === null, $sight->comparison === null => Runs::all($sight->plan),
                    $sight->hasSameNumbersAs($known) => [],
                    default => Runs::since($known->plan, $sight->plan, $sight->comparison),
                },
            ],
            'figures' => self::figures($sight, $known),
        ]
            + ($known !== null && $known->plan->relations === $sight->plan->relations ? [] : ['relations' => self::relations($row->id)])
            + ($known !== null && $known->plan->sources === $sight->plan->sources ? [] : ['sources' => PlanSources::labels($row)])
            + self::summary($sight, $sight->hasSameStripAs($known));
    }

    /** @return list<array<string, mixed>> all of them: they are few */
    private static function relations(string $planId): array
    {
        return array_map(static fn(Relation $relation): array => $relation->toArray(), array_values(PlanRows::relations($planId)));
    }

    /** @return list<string> topics to be told of: changed or moved, and whole branches that went or came back */
    private static function between(Plan $before, Plan $after, Comparison $comparison): array
    {
        $ids = $comparison->changed + array_fill_keys($comparison->reordered, true);
        unset($ids[Plan::BIN]);
        foreach ($comparison->moved as $id) {
            $ids
                += isset($before->topics[$id]) && $before->isLive($id) && $after->isLive($id)
                    ? [$id => true]
                    : array_fill_keys($after->branch($id), true);
        }

        return array_keys($ids);
    }

    /** @return list<string> topics whose row was written after a revision, removed ones among them */
    private static function revised(string $planId, int $base): array
    {
        /** @var list<string> */
        return DB::table('topics')->where('plan_id', $planId)->where('revision', '>', $base)->pluck('id')->values()->all();
    }

    /**
     * @param list<string> $ids
     *
     * @return list<array<string, mixed>> in reading order, each with the sibling it stands after
     */
    private static function told(Plan $plan, array $ids): array
    {
        $out = [];
        foreach (Order::of($plan, array_values(array_filter($ids, static fn(string $id): bool => !Plan::isFixed($id)))) as $id) {
            $place = Place::of($plan, $id);
            $out[] = self::topic($plan->topic($id), $place->parent) + ['after' => $place->after];
        }

        return $out;
    }

    /** @return array<string, mixed> without strip and words where they are as they were */
    private static function summary(Sight $sight, bool $isSame = false): array
    {
        $plan = $sight->plan;

        return ($isSame ? [] : ['strip' => $sight->strip(), 'words' => $sight->words()]) + [
            'title' => $plan->title(),
            'target' => $plan->properties->target?->words,
            'noted' => $plan->topic(Plan::ROOT)->noted,
            'properties' => $plan->properties->toArray(),
        ];
    }

    /** @return array<string, mixed> */
    public static function topic(Topic $topic, string $parent): array
    {
        return [
            'id' => $topic->id,
            'parent' => $parent,
            'title' => $topic->title,
            'kind' => $topic->kind->value,
            'numbered' => $topic->numbered->value,
            'dye' => $topic->dye?->value,
            'flag' => $topic->flag?->value,
            'target' => $topic->target?->words,
            'noted' => $topic->noted,
            'size' => $topic->size?->value,
            'alone' => $topic->alone?->value,
            'spot' => $topic->spot?->value(),
            'picture' => $topic->picture?->value(),
        ];
    }

    /** @return array<string, array{int, float}> topic → words of it and everything under it, and how far its floret is filled */
    private static function figures(Sight $sight, ?Sight $before): array
    {
        if ($sight->hasSameWordsAs($before)) {
            return [];
        }
        $totals = $sight->totals();
        $ids
            = $before === null || $sight->comparison === null
                ? [Plan::ROOT, ...$sight->plan->standing()]
                : array_filter(self::concerned($before->plan, $sight->plan, $sight->comparison), $sight->plan->isLive(...));
        $figures = [];
        foreach ($ids as $id) {
            $figures[$id] = [$totals->words($id), round($totals->filled($id), 3)];
        }

        return $figures;
    }

    /** @return list<string> topics that differ or stand elsewhere, and everything above them: only their sums can be others */
    private static function concerned(Plan $before, Plan $after, Comparison $comparison): array
    {
        $concerned = [];
        foreach (self::between($before, $after, $comparison) as $id) {
            foreach ([$before, $after] as $plan) {
                for ($at = $id; $at !== null; $at = $plan->parent($at)) {
                    $concerned[$at] = true;
                }
            }
        }

        return array_keys($concerned);
    }
}
