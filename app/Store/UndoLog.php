<?php

declare(strict_types=1);

namespace App\Store;

use Embrel\Difference\Difference;
use Embrel\Operation\TakeBack;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * What one person can take back in a plan, and bring back again, read out of the log. A step that
 * undoes another points to it; a step that undoes such a step brings the first one back.
 */
final class UndoLog
{
    private const REACH = 2000;
    /** Left to itself the database reads the log from its end, through all that others have done. */
    private const BY_PERSON = 'operations_plan_id_user_id_seq_index';
    private const BY_STEP = 'operations_plan_id_step_id_index';

    /** @var array<string, string|null>|null */
    private ?array $steps = null;

    public function __construct(private readonly string $planId, private readonly int $userId) {}

    /** The newest step that is in force, or null. */
    public function undoable(): ?string
    {
        $steps = $this->steps();
        $undoings = self::undoings($steps);
        $cancelled = [];
        foreach ($steps as $step => $undoes) {
            if (isset($cancelled[$step])) {
                // What was brought back and taken back again is out of force with the step that did it.
                if ($undoes !== null && !isset($undoings[$step])) {
                    $cancelled[$undoes] = $cancelled[(string) $steps[$undoes]] = true;
                }
            } elseif (isset($undoings[$step])) {
                $cancelled[(string) $undoes] = true;
            } else {
                return $step;
            }
        }

        return null;
    }

    /** The newest undoing that nothing new has followed, or null. */
    public function redoable(): ?string
    {
        $steps = $this->steps();
        $undoings = self::undoings($steps);
        $cancelled = [];
        foreach ($steps as $step => $undoes) {
            if (isset($cancelled[$step])) {
                continue;
            }
            if ($undoes === null) {
                return null;
            }
            if (isset($undoings[$step])) {
                return $step;
            }
            $cancelled[$undoes] = true;
        }

        return null;
    }

    /**
     * The steps that undo: those that point to one that does not itself.
     *
     * @param array<string, string|null> $steps newest first
     *
     * @return array<string, true>
     */
    private static function undoings(array $steps): array
    {
        $undoings = [];
        foreach (array_reverse($steps, true) as $step => $undoes) {
            if ($undoes !== null && !isset($undoings[$undoes])) {
                $undoings[$step] = true;
            }
        }

        return $undoings;
    }

    /**
     * What undo and redo would do now, in words.
     *
     * @return array{undo: string|null, redo: string|null} null: there is nothing
     */
    public function names(): array
    {
        $undo = $this->undoable();
        $redo = $this->redoable();
        $undone = $redo === null ? null : $this->steps()[$redo];
        $says = DB::table('operations')
            ->forceIndex(self::BY_STEP)
            ->where('plan_id', $this->planId)
            ->whereIn('step_id', array_filter([$undo, $undone]))
            ->orderBy('seq')
            ->pluck('says', 'step_id');

        return ['undo' => $undo === null ? null : $says[$undo] ?? '', 'redo' => $undone === null ? null : $says[$undone] ?? ''];
    }

    /** @return array<string, string|null> step → the step it undoes, newest first */
    private function steps(): array
    {
        if ($this->steps === null) {
            $rows = DB::table('operations')
                ->forceIndex(self::BY_PERSON)
                ->where('plan_id', $this->planId)
                ->where('user_id', $this->userId)
                ->orderByDesc('seq')
                ->limit(self::REACH)
                ->get(['step_id', 'undoes', 'type']);
            $this->steps = array_diff_key($rows->pluck('undoes', 'step_id')->all(), self::idle($rows));
        }

        return $this->steps;
    }

    /**
     * Steps that came to nothing: a topic was added and, left empty, went by itself.
     *
     * @param Collection<int, \stdClass> $rows
     *
     * @return array<string, true>
     */
    private static function idle(Collection $rows): array
    {
        $types = [];
        foreach ($rows as $row) {
            $types[$row->step_id][$row->type] = true;
        }

        return array_fill_keys(
            array_keys(array_filter($types, static fn(array $of): bool => \count($of) === 2 && isset($of['add'], $of['drop']))),
            true,
        );
    }

    /**
     * The step by which one of the person's own is in force now: itself, or the one that brought it back; null where
     * it has been taken back, or there is no such step.
     */
    public function standing(string $step): ?string
    {
        $by = array_flip(array_filter(array_reverse($this->steps(), true), static fn(?string $undoes): bool => $undoes !== null));
        while (isset($by[$step])) {
            $step = $by[$by[$step]] ?? null;
            if ($step === null) {
                return null;
            }
        }

        return \array_key_exists($step, $this->steps()) ? $step : null;
    }

    /** What a step did, in words. */
    public function says(string $step): string
    {
        $says = DB::table('operations')
            ->forceIndex(self::BY_STEP)
            ->where('plan_id', $this->planId)
            ->where('step_id', $step)
            ->orderBy('seq')
            ->value('says');

        return \is_string($says) ? $says : '';
    }

    /** What takes a step back, among what others have done since. */
    public function takeBack(string $step): TakeBack
    {
        $rows = DB::table('operations')
            ->forceIndex(self::BY_STEP)
            ->where('plan_id', $this->planId)
            ->where('step_id', $step)
            ->orderBy('seq')
            ->pluck('difference', 'seq');
        $did = new Difference();
        foreach ($rows as $difference) {
            $did = $did->then(StoredDifference::read($difference));
        }
        $from = (int) $rows->keys()->first();

        return new TakeBack($did->reversed(), fn(array $topics): array => StoredDifference::meeting(
            $this->planId,
            $this->userId,
            $from,
            [...$topics, ...StoredDifference::beside($did)],
        ));
    }
}
