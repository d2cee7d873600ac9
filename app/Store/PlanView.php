<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan as PlanRow;
use Embrel\Layout\Strip;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Plan;
use Embrel\Plan\Topic;
use Embrel\Plan\WordTotals;
use Illuminate\Support\Facades\DB;

/** What a page is told of a plan: the whole at first, then what has changed. Everything is computed here, the page only shows it. */
final class PlanView
{
    /** @return array<string, mixed> the whole plan, for a page that opens */
    public static function whole(PlanRow $row, Plan $plan): array
    {
        $numbering = Numbering::of($plan);
        $totals = WordTotals::of($plan);
        $topics = [];
        foreach ([Plan::ROOT, Plan::TRAY] as $home) {
            foreach ($plan->walk($home) as $id => $_) {
                $topics[] = self::topic($plan->topic($id), (string) $plan->parent($id)) + ['label' => $numbering->own($id)];
            }
        }

        return ['revision' => $row->revision, 'topics' => $topics, 'figures' => self::figures($plan, $totals, null)] + self::summary($plan, $numbering, $totals);
    }

    /**
     * What has changed since a revision: rows, numbers as runs, words. For a page that is one
     * batch behind the numbers are compared with those before; for any other all are sent.
     *
     * @return array<string, mixed>
     */
    public static function since(PlanRow $row, int $base, Plan $plan, PlanRows $rows, ?Plan $before, int $beforeRevision): array
    {
        $isNext = $before !== null && $base === $beforeRevision;
        $numbering = Numbering::of($plan);
        $totals = WordTotals::of($plan);
        $known = $isNext ? Numbering::of($before) : null;
        $removed = DB::table('topics')->where('plan_id', $row->id)->where('revision', '>', $base)->whereNotNull('removed_at')->pluck('id');

        return [
            'revision' => $row->revision,
            'topics' => self::changed($plan, $rows, $base),
            'removed' => $removed->all(),
            'labels' => ['all' => !$isNext, 'runs' => $numbering->runsSince($known, $plan)],
            'figures' => self::figures($plan, $totals, $isNext ? WordTotals::of($before) : null),
        ] + self::summary($plan, $numbering, $totals);
    }

    /** @return list<array<string, mixed>> in reading order, each with the sibling it stands after */
    private static function changed(Plan $plan, PlanRows $rows, int $base): array
    {
        $out = [];
        foreach ([Plan::ROOT, Plan::TRAY] as $home) {
            $last = [];
            foreach ($plan->walk($home) as $id => $_) {
                $parent = (string) $plan->parent($id);
                if (($rows->revisions[$id] ?? 0) > $base) {
                    $out[] = self::topic($plan->topic($id), $parent) + ['after' => $last[$parent] ?? null];
                }
                $last[$parent] = $id;
            }
        }

        return $out;
    }

    /** @return array<string, mixed> */
    private static function summary(Plan $plan, Numbering $numbering, WordTotals $totals): array
    {
        return [
            'title' => $plan->title(),
            'strip' => Strip::of($plan, $numbering, $totals)->sections,
            'words' => $totals->words[Plan::ROOT],
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
    private static function figures(Plan $plan, WordTotals $totals, ?WordTotals $before): array
    {
        $figures = [];
        foreach ($totals->words as $id => $words) {
            $filled = $totals->filled[$id];
            if ($before === null || ($before->words[$id] ?? null) !== $words || ($before->filled[$id] ?? null) !== $filled) {
                $figures[$id] = [$words, round($filled, 3)];
            }
        }

        return $figures;
    }
}
