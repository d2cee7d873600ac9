<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan as PlanRow;
use App\Models\User;
use Embrel\Draft\ShowChoices;
use Embrel\Layout\Map\Look;
use Embrel\Pace\WritingDays;
use Embrel\Plan\InvalidValue;
use Illuminate\Support\Facades\DB;

/** What is each person's own on a plan: what they keep folded, and on what they look. Never an operation, never undone. */
final class PersonalState
{
    /** @return list<string> */
    public function folds(User $user, PlanRow $plan): array
    {
        return array_values(
            DB::table('topic_folds')
                ->where('user_id', $user->id)
                ->where('plan_id', $plan->id)
                ->pluck('topic_id')
                ->map(static fn(mixed $id): string => (string) $id)
                ->all(),
        );
    }

    /** @param list<string> $ids all that are folded now */
    public function fold(User $user, PlanRow $plan, array $ids): void
    {
        Transaction::of(static function () use ($user, $plan, $ids): void {
            DB::table('topic_folds')->where('user_id', $user->id)->where('plan_id', $plan->id)->delete();
            foreach (array_chunk(array_unique($ids), 1000) as $chunk) {
                DB::table('topic_folds')->insert(
                    array_map(static fn(string $id): array => ['user_id' => $user->id, 'plan_id' => $plan->id, 'topic_id' => $id], $chunk),
                );
            }
        });
    }

    /** @return array{focus: string|null, dimmed: bool} the branch that is shown, and whether the rest is dimmed instead of hidden */
    public function look(User $user, PlanRow $plan): array
    {
        $row = DB::table('plan_views')
            ->where('user_id', $user->id)
            ->where('plan_id', $plan->id)
            ->first(['focus', 'dimmed']);

        return ['focus' => $row->focus ?? null, 'dimmed' => (bool) ($row->dimmed ?? false)];
    }

    public function map(User $user, PlanRow $plan): Look
    {
        return MapStyles::look($user, $this->kept($user, $plan, 'map'));
    }

    public function keepMap(User $user, PlanRow $plan, Look $look): void
    {
        $this->keep($user, $plan, 'map', $look->toArray());
    }

    /** @return array<string, mixed> what was chosen at the last hand-over of this plan */
    public function handOver(User $user, PlanRow $plan): array
    {
        return $this->kept($user, $plan, 'hand_over');
    }

    /** @param array<string, mixed> $choices */
    public function keepHandOver(User $user, PlanRow $plan, array $choices): void
    {
        $this->keep($user, $plan, 'hand_over', $choices);
    }

    public function present(User $user, PlanRow $plan): ShowChoices
    {
        return ShowChoices::from($this->kept($user, $plan, 'present'));
    }

    public function keepPresent(User $user, PlanRow $plan, ShowChoices $choices): void
    {
        $this->keep($user, $plan, 'present', $choices->toArray());
    }

    /** The days on which they write: every day, until they say otherwise. */
    public function writingDays(User $user, PlanRow $plan): WritingDays
    {
        $kept = $this->kept($user, $plan, 'writing_days');
        try {
            return $kept === [] ? WritingDays::all() : WritingDays::of($kept['weekdays'] ?? [], $kept['off'] ?? []);
        } catch (InvalidValue) {
            return WritingDays::all();
        }
    }

    public function keepWritingDays(User $user, PlanRow $plan, WritingDays $on): void
    {
        $this->keep($user, $plan, 'writing_days', $on->toArray());
    }

    public function keepLook(User $user, PlanRow $plan, ?string $focus, bool $dimmed): void
    {
        DB::table('plan_views')->upsert(
            [['user_id' => $user->id, 'plan_id' => $plan->id, 'focus' => $focus, 'dimmed' => $dimmed]],
            ['user_id', 'plan_id'],
            ['focus', 'dimmed'],
        );
    }

    /** @return array<string, mixed> empty when nothing is kept there */
    private function kept(User $user, PlanRow $plan, string $column): array
    {
        $kept = DB::table('plan_views')->where('user_id', $user->id)->where('plan_id', $plan->id)->value($column);
        $kept = \is_string($kept) ? json_decode($kept, true) : null;

        return \is_array($kept) ? $kept : [];
    }

    /** @param array<string, mixed> $value */
    private function keep(User $user, PlanRow $plan, string $column, array $value): void
    {
        $json = json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
        DB::table('plan_views')->upsert(
            [['user_id' => $user->id, 'plan_id' => $plan->id, $column => $json]],
            ['user_id', 'plan_id'],
            [$column],
        );
    }
}
