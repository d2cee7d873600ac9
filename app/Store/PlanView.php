<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan as PlanRow;
use Embrel\Operation\Order;
use Embrel\Plan\Place;
use Embrel\Plan\Plan;
use Embrel\Plan\Topic;
use Illuminate\Support\Facades\DB;

/** What a page is told of a plan: the whole at first, then what has changed. Everything is computed here, the page only shows it. */
final class PlanView
{
    /** @return array<string, mixed> the whole plan, for a page that opens */
    public static function whole(PlanRow $row, Plan $plan): array
    {
        $sight = Sight::of($plan);
        $topics = [];
        foreach ([Plan::ROOT, Plan::TRAY] as $home) {
            foreach ($plan->walk($home) as $id => $_) {
                $topics[] = self::topic($plan->topic($id), (string) $plan->parent($id)) + ['label' => $sight->numbering()->own($id)];
            }
        }

        return ['revision' => $row->revision, 'topics' => $topics, 'figures' => self::figures($sight, null)] + self::summary($sight);
    }

    /**
     * What has changed since a revision: rows, numbers as runs, words. For a page that is one
     * batch behind the numbers are compared with those before; for any other all are sent.
     *
     * @return array<string, mixed>
     */
    public static function since(PlanRow $row, int $base, Sight $sight, PlanRows $rows, ?Sight $before, int $beforeRevision): array
    {
        $known = $base === $beforeRevision ? $before : null;
        $removed = DB::table('topics')->where('plan_id', $row->id)->where('revision', '>', $base)->whereNotNull('removed_at')->pluck('id');

        return [
            'revision' => $row->revision,
            'whole' => $base === 0,
            'rootRevised' => ($rows->revisions[Plan::ROOT] ?? 0) > $base,
            'topics' => self::changed($sight->plan, $rows, $base),
            'removed' => $removed->all(),
            'labels' => ['all' => $known === null, 'runs' => $sight->hasSameNumbersAs($known) ? [] : $sight->numbering()->runsSince($known?->numbering(), $sight->plan)],
            'figures' => self::figures($sight, $known),
        ] + self::summary($sight, $sight->hasSameStripAs($known));
    }

    /** @return list<array<string, mixed>> in reading order, each with the sibling it stands after */
    private static function changed(Plan $plan, PlanRows $rows, int $base): array
    {
        $ids = array_keys(array_filter($rows->revisions, static fn(int $revision): bool => $revision > $base));
        $ids = array_values(array_filter($ids, static fn(string $id): bool => !Plan::isFixed($id) && $plan->isLive($id)));
        $out = [];
        foreach (Order::of($plan, $ids) as $id) {
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
            'id' => $topic->id, 'parent' => $parent, 'title' => $topic->title, 'kind' => $topic->kind->value, 'numbered' => $topic->numbered->value,
            'dye' => $topic->dye?->value, 'flag' => $topic->flag?->value, 'target' => $topic->target?->words, 'noted' => $topic->noted,
        ];
    }

    /** @return array<string, array{int, float}> topic → words of it and everything under it, and how far its floret is filled */
    private static function figures(Sight $sight, ?Sight $before): array
    {
        if ($sight->hasSameWordsAs($before)) {
            return [];
        }
        $totals = $sight->totals();
        $ids = $before === null ? array_keys($totals->words) : self::concerned($before->plan, $sight->plan);
        $figures = [];
        foreach ($ids as $id) {
            if (isset($totals->words[$id])) {
                $figures[$id] = [$totals->words[$id], round($totals->filled[$id], 3)];
            }
        }

        return $figures;
    }

    /** @return list<string> topics that differ or stand elsewhere, and everything above them: only their sums can be others */
    private static function concerned(Plan $before, Plan $after): array
    {
        $concerned = [];
        $changed = array_keys(array_filter($after->topics, static fn(Topic $topic, string $id): bool => ($before->topics[$id] ?? null) !== $topic || ($before->parents[$id] ?? null) !== ($after->parents[$id] ?? null), ARRAY_FILTER_USE_BOTH));
        foreach ($changed as $id) {
            foreach ([$before, $after] as $plan) {
                for ($at = $id; $at !== null; $at = $plan->parent($at)) {
                    $concerned[$at] = true;
                }
            }
        }

        return array_keys($concerned);
    }
}
