<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan as PlanRow;
use App\Models\User;
use Embrel\Difference\Conflict;
use Embrel\Difference\Difference;
use Embrel\Plan\NotesMissing;
use Embrel\Plan\Plan;
use Embrel\Plan\Topic;

/** What is new in a plan for a page that knows it as it was at a revision: the sum of what was done since, and nothing else. */
final class News
{
    /** Who is further behind is told the plan whole. */
    private const MOST = 500;
    /** What is told to all at once is no more than that. */
    private const FEW = 50;

    /**
     * For a page that asks.
     *
     * @return array<string, mixed>|null null: there is nothing new
     */
    public static function since(PlanRow $row, User $user, int $base): ?array
    {
        if ($base >= $row->revision) {
            return null;
        }
        $sum = StoredDifference::sum($row->id, $base, $row->revision, self::MOST);

        return self::summed($row, $base, $sum, $user);
    }

    /**
     * For all pages that know the plan as it was at a revision, whoever is at them.
     *
     * @return array{from: int, by: list<int>, news: array<string, mixed>}|null with who did it, to whom their own undo is to be told
     *                                                                     besides; null: it is more than a few topics
     */
    public static function toAll(PlanRow $row, int $from): ?array
    {
        $sum = StoredDifference::sum($row->id, $from, $row->revision, self::FEW);
        if ($sum === null || !$sum['did']->keepsTheTree()) {
            return null;
        }

        $news = self::ofSome($row, $sum['did'], min($sum['last'], $row->revision), []);

        return ['from' => $from, 'by' => array_keys($sum['by']), 'news' => $news];
    }

    /**
     * @param array{did: Difference, last: int, by: array<int, true>}|null $sum
     * @param User|null                                                    $user  to be told what undo and redo would do now
     * @param list<string>                                                 $named
     *
     * @return array<string, mixed>
     */
    private static function summed(PlanRow $row, int $base, ?array $sum, ?User $user = null, array $named = []): array
    {
        if ($sum !== null && $sum['did']->keepsTheTree()) {
            // The log only grows: rows that were changed after it was read are told with what comes next, and with their places.
            return self::steps($row, $user, $sum['by']) + self::ofSome($row, $sum['did'], min($sum['last'], $row->revision), $named);
        }

        // In one transaction: plan, log and topics are as of one moment.
        return Transaction::of(static function () use ($row, $base, $sum, $user, $named): array {
            $read = $row->revision;
            $row->refresh();
            $sum = $row->revision === $read ? $sum : StoredDifference::sum($row->id, $base, $row->revision, self::MOST);
            $now = (new PlanRows())->tree($row);

            return self::steps($row, $user, $sum['by'] ?? null) + self::compared($row, $now, $now, $sum['did'] ?? null, $named);
        });
    }

    /**
     * For a page whose own changes were taken in: what they led to, with all that others had done before them, and what
     * undo and redo would do now.
     *
     * @param list<string> $shown what earlier changes of the page named, whose answers it has not taken in
     *
     * @return array<string, mixed>
     */
    public static function of(PlanRow $row, User $user, int $base, Outcome $outcome, array $shown = []): array
    {
        $steps = $outcome->says === null ? (new UndoLog($row->id, $user->id))->names() : ['undo' => $outcome->says, 'redo' => null];
        $notes = $outcome->notes === [] ? [] : ['notes' => $outcome->notes];

        return ['steps' => $steps] + $notes + self::after($row, $base, $outcome, $shown);
    }

    /**
     * @param list<string> $shown
     *
     * @return array<string, mixed>
     */
    private static function after(PlanRow $row, int $base, Outcome $outcome, array $shown): array
    {
        // One change is shown by the page as it came to be; several may have led back to where the page does not have it.
        $isOne = $base === $outcome->from && $outcome->revision - $outcome->from < 2 && $shown === [];
        $named = $isOne ? [] : array_values(array_unique([...$shown, ...$outcome->named()]));
        if (!$outcome->isWhole) {
            $sum
                = $base === $outcome->from
                    ? ['did' => $outcome->did, 'last' => $outcome->revision, 'by' => []]
                    : StoredDifference::sum($row->id, $base, $outcome->revision, self::MOST);

            return self::summed($row, $base, $sum, named: $named);
        }
        if ($base === $outcome->from) {
            return PlanView::since($row, $outcome->after, $outcome->before, $named);
        }
        $sum = StoredDifference::sum($row->id, $base, $outcome->from, self::MOST);

        return self::compared($row, $outcome->before->plan, $outcome->after->plan, $sum['did'] ?? null, $named);
    }

    /**
     * @param array<int, true>|null $by who has done something since; null: not to be said
     *
     * @return array<string, mixed> what undo and redo would do now, where the person's own steps can be others
     */
    private static function steps(PlanRow $row, ?User $user, ?array $by): array
    {
        if ($user === null) {
            return [];
        }

        return $by === null || isset($by[$user->id]) ? ['steps' => (new UndoLog($row->id, $user->id))->names()] : [];
    }

    /**
     * @param list<string> $named
     *
     * @return array<string, mixed>
     */
    private static function ofSome(PlanRow $row, Difference $did, int $revision, array $named): array
    {
        $rows = new PlanRows();

        return $named === []
            ? PlanView::ofSome($row, $revision, $did, [])
            : ['removed' => $rows->gone($row->id, $named, $revision)]
                + PlanView::ofSome($row, $revision, $did, $rows->some($row->id, $named, $revision));
    }

    /**
     * @param Plan            $last the state of the plan that others left, and `now` what it is
     * @param Difference|null $did  what had led there from the one that the page knows; null: not to be said
     * @param list<string>    $named what is told with its place whether that is another or not
     *
     * @return array<string, mixed>
     */
    private static function compared(PlanRow $row, Plan $last, Plan $now, ?Difference $did, array $named = []): array
    {
        if ($did === null) {
            return PlanView::since($row, Sight::of($now), null);
        }
        $rows = new PlanRows();
        $removed = $rows->withRemoved(
            new Plan([], [], [], $now->properties),
            $row->id,
            array_values(array_filter($did->removed(), static fn(string $id): bool => !$last->has($id))),
        );
        $topic = static fn(string $id): ?Topic => $last->topics[$id] ?? $removed->topics[$id] ?? null;
        $unread = array_filter($did->notes(), static fn(string $id): bool => $topic($id)?->note === null);
        try {
            $known = $did->ofTheTree()->reversed()->in($rows->withNotes(self::both($last, $removed), $row->id, array_values($unread)));
        } catch (Conflict|NotesMissing) {
            return PlanView::since($row, Sight::of($now), null);
        }
        $known = Sight::of($known->withSources($last->sources)->withRelations($last->relations));
        $sight = $known->after(self::both($now, $removed));

        return ($did->sources === [] ? [] : ['sources' => PlanSources::labels($row)])
            + ($did->relations === [] ? [] : ['relations' => PlanView::relations($row->id)])
            + PlanView::since($row, $sight, $known, $named);
    }

    /** A plan, and topics of it that were removed. */
    private static function both(Plan $plan, Plan $removed): Plan
    {
        $parts = [Plan::BIN => [...$plan->parts(Plan::BIN), ...$removed->parts(Plan::BIN)]] + $plan->parts + $removed->parts;

        return new Plan(
            $plan->topics + $removed->topics,
            $parts,
            $plan->parents + $removed->parents,
            $plan->properties,
            $plan->foreign,
            $plan->sources,
            $plan->relations,
        );
    }
}
