<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan as PlanRow;
use App\Models\User;
use Embrel\Plan\Comparison;
use Embrel\Plan\Plan;
use Illuminate\Support\Facades\DB;

/** How many words were added and taken away on each day, by whom, and in which main section. */
final class WrittenWords
{
    /**
     * Counts what a change of a person did, on the day that it is where the person is. Words that only moved were written before.
     * Under the lock of the plan.
     */
    public static function keep(PlanRow $row, User $user, Plan $before, Plan $after, Comparison $comparison): void
    {
        $sections = [];
        foreach (self::touched($before, $after, $comparison) as $id) {
            $was = isset($before->topics[$id]) && $before->isLive($id) ? $before->topics[$id]->words : 0;
            $is = isset($after->topics[$id]) && $after->isLive($id) ? $after->topics[$id]->words : 0;
            if ($is !== $was) {
                $section = self::section($after->isLive($id) ? $after : $before, $id);
                $sections[$section] ??= ['added' => 0, 'taken' => 0];
                $sections[$section][$is > $was ? 'added' : 'taken'] += abs($is - $was);
            }
        }
        $day = $user->today();
        foreach ($sections as $section => $words) {
            DB::table('written_words')->upsert(
                [['plan_id' => $row->id, 'user_id' => $user->id, 'day' => $day, 'section_id' => $section] + $words],
                ['plan_id', 'day', 'user_id', 'section_id'],
                ['added' => DB::raw('added + ' . $words['added']), 'taken' => DB::raw('taken + ' . $words['taken'])],
            );
        }
    }

    /** @return list<string> topics whose words may be others, or count no more, or again */
    private static function touched(Plan $before, Plan $after, Comparison $comparison): array
    {
        $ids = array_map(strval(...), array_keys($comparison->changed));
        foreach ($comparison->moved as $id) {
            array_push($ids, ...isset($before->topics[$id]) ? $after->branch($id) : []);
        }

        return array_values(array_unique($ids));
    }

    /** The main section that a topic is under; of the opening note and loose ideas the fixed topic. */
    private static function section(Plan $plan, string $id): string
    {
        for ($above = $plan->parent($id); $above !== null && !Plan::isFixed($above); $above = $plan->parent($id)) {
            $id = $above;
        }

        return $above === Plan::TRAY ? Plan::TRAY : $id;
    }

    /** @return array{added: int, taken: int} words of a person's own day, without those of loose ideas */
    public static function today(PlanRow $row, User $user): array
    {
        $sums = DB::table('written_words')
            ->where('plan_id', $row->id)
            ->where('user_id', $user->id)
            ->where('day', $user->today())
            ->where('section_id', '!=', Plan::TRAY)
            ->first([DB::raw('SUM(added) AS added'), DB::raw('SUM(taken) AS taken')]);

        return ['added' => (int) ($sums->added ?? 0), 'taken' => (int) ($sums->taken ?? 0)];
    }

    /** @return array<string, int> day → words of all who write in the plan, added less taken away */
    public static function byDay(PlanRow $row): array
    {
        $days = [];
        foreach (
            DB::table('written_words')
                ->where('plan_id', $row->id)
                ->where('section_id', '!=', Plan::TRAY)
                ->groupBy('day')
                ->get(['day', DB::raw('CAST(SUM(added) AS SIGNED) - CAST(SUM(taken) AS SIGNED) AS net')]) as $one
        ) {
            $days[(string) $one->day] = (int) $one->net;
        }

        return $days;
    }
}
