<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan as PlanRow;
use App\Models\User;
use Embrel\Operation\OperationRefused;
use Embrel\Operation\Transition;
use Embrel\Plan\Plan;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** What has happened to a plan, step by step, and the ways back to any point of it. */
final class History
{
    private const AT_ONCE = 300;
    /** Bytes of differences that are told at once, where one alone is not more. */
    private const BYTES_AT_ONCE = 1_000_000;

    public function __construct(private readonly PlanStore $store, private readonly Snapshots $snapshots) {}

    /**
     * The newest steps before a point, newest first. What was done in one step is one line.
     *
     * @return list<array{seq: int, says: string, by: string, at: Carbon, changes: int}> seq: of its last change
     */
    public function steps(PlanRow $row, int $before = PHP_INT_MAX): array
    {
        $rows = DB::table('operations')
            ->leftJoin('users', 'users.id', '=', 'operations.user_id')
            ->where('plan_id', $row->id)
            ->where('seq', '<', $before)
            ->orderByDesc('seq')
            ->limit(self::AT_ONCE)
            ->get(['seq', 'step_id', 'says', 'at', DB::raw(StoredDifference::WHO)]);
        $steps = [];
        $these = $rows->chunkWhile(static fn(\stdClass $one, int $i, Collection $step): bool => $one->step_id === $step->last()?->step_id);
        foreach ($these as $step) {
            /** @var \stdClass $last */
            $last = $step->first();
            $steps[] = [
                'seq' => (int) $last->seq,
                'says' => $last->says,
                'by' => $last->name ?? User::GONE,
                'at' => Carbon::parse($last->at),
                'changes' => \count($step),
            ];
        }
        if (\count($rows) < self::AT_ONCE && $before > 1) {
            $steps[] = [
                'seq' => 1,
                'says' => 'Started the plan',
                'by' => $row->owner->name ?? '',
                'at' => Carbon::parse($row->created_at),
                'changes' => 1,
            ];
        }

        return $steps;
    }

    /**
     * What was done after one revision up to another, to be played back: one difference after the other, in the form of the
     * log. Where it is too much at once, it is told as far as `to`, and asked on from there.
     *
     * @return array{from: int, to: int, steps: list<array{seq: int, step: string, says: string, by: string, at: string, did: array<string, mixed>}>}
     */
    public function played(PlanRow $row, int $from, int $to): array
    {
        $rows = DB::table('operations')
            ->leftJoin('users', 'users.id', '=', 'operations.user_id')
            ->where('plan_id', $row->id)
            ->whereBetween('seq', [$from + 1, min($to, $row->revision)])
            ->orderBy('seq')
            ->limit(self::AT_ONCE)
            ->select(['seq', 'step_id', 'says', 'at', DB::raw(StoredDifference::WHO), 'difference'])
            ->cursor();
        $steps = [];
        $bytes = 0;
        foreach ($rows as $one) {
            $bytes += \strlen($one->difference);
            if ($steps !== [] && $bytes > self::BYTES_AT_ONCE) {
                break;
            }
            $steps[] = [
                'seq' => (int) $one->seq,
                'step' => $one->step_id,
                'says' => $one->says,
                'by' => $one->name ?? User::GONE,
                'at' => Carbon::parse($one->at)->toIso8601String(),
                'did' => json_decode($one->difference, true, 512, JSON_THROW_ON_ERROR),
            ];
        }

        return ['from' => $from, 'to' => $steps === [] ? $from : end($steps)['seq'], 'steps' => $steps];
    }

    /** @return array<int, string> seq → name of the version kept there, newest first */
    public function versions(PlanRow $row): array
    {
        return DB::table('snapshots')->where('plan_id', $row->id)->whereNotNull('name')->orderByDesc('seq')->pluck('name', 'seq')->all();
    }

    public function keepVersion(PlanRow $row, string $name): void
    {
        $this->store->locked($row, fn() => Snapshots::keep($row, $this->store->whole($row), $name));
    }

    /** @throws NotThere */
    public function at(PlanRow $row, int $seq): Plan
    {
        return $this->snapshots->at($row, $seq) ?? throw new NotThere();
    }

    /** When the plan came to be as it was at a point. */
    public function time(PlanRow $row, int $seq): Carbon
    {
        return Carbon::parse(
            DB::table('operations')->where('plan_id', $row->id)->where('seq', '<=', $seq)->orderByDesc('seq')->value('at')
                ?? $row->created_at,
        );
    }

    /**
     * Makes the plan what it was, as a new change.
     *
     * @throws OperationRefused
     */
    public function goBack(PlanRow $row, User $user, int $seq): void
    {
        $this->store->locked($row, function () use ($row, $user, $seq): void {
            $way = Transition::between($this->store->whole($row), $this->at($row, $seq));
            if ($way->operations !== []) {
                $this->store->insist($row, $user, $this->store->change($way, says: "Went back to {$this->named($row, $user, $seq)}"));
            }
        });
    }

    /** A new plan of what it was. */
    public function planOf(PlanRow $row, User $user, int $seq): PlanRow
    {
        $plan = $this->at($row, $seq);

        return $this->made($row, $user, $plan, "as of {$this->named($row, $user, $seq)}");
    }

    /**
     * A new plan of what it is now.
     *
     * @param Plan|null $shown what of it is taken over; null: all
     */
    public function duplicate(PlanRow $row, User $user, ?string $called = 'copy', ?Plan $shown = null): PlanRow
    {
        return $this->made($row, $user, $shown ?? $this->store->load($row, true), $called);
    }

    /** @param string|null $called behind the title; null: it has the same */
    private function made(PlanRow $row, User $user, Plan $plan, ?string $called): PlanRow
    {
        $title = $called === null ? $plan->title() : mb_strimwidth($plan->title(), 0, 900, '…') . " ({$called})";
        $made = $this->store->create($user, $plan->with($plan->topic(Plan::ROOT)->withTitle($title)));
        (new PlanPictures($made->id))->takeOver($row->id, $plan->topics);

        return $made;
    }

    /** A point in the person's own time. */
    private function named(PlanRow $row, User $user, int $seq): string
    {
        return $this->time($row, $seq)->setTimezone($user->time_zone)->format('j F, H:i');
    }
}
