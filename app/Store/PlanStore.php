<?php

declare(strict_types=1);

namespace App\Store;

use App\Hosts\Measures;
use App\Models\Plan as PlanRow;
use App\Models\User;
use Embrel\Difference\Difference;
use Embrel\Id\Ids;
use Embrel\Id\Ulid;
use Embrel\Operation\EditNote;
use Embrel\Operation\Operation;
use Embrel\Operation\OperationRefused;
use Embrel\Operation\Reason;
use Embrel\Operation\Wording;
use Embrel\Plan\Comparison;
use Embrel\Plan\NotesMissing;
use Embrel\Plan\Plan;
use Illuminate\Support\Facades\DB;

/** The only bridge between rows and a Plan: loads it, applies operations in one transaction, keeps the log. */
final class PlanStore
{
    private const JSON = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR;

    public function __construct(private readonly Ids $ids, private readonly Measures $measures) {}

    /**
     * A new plan out of one that was read or made, as its first state.
     *
     * @throws OverQuota
     */
    public function create(User $owner, Plan $plan, ?string $id = null): PlanRow
    {
        Quota::admitPlan($owner);

        return Transaction::of(fn(): PlanRow => $this->made($owner, $plan, $id, 1, $plan));
    }

    /**
     * A plan that came from elsewhere as it stands there after many changes; its log is for the caller to write.
     *
     * @param Plan $first as it was at its first revision
     *
     * @throws OverQuota
     */
    public function recreate(User $owner, Plan $plan, string $id, int $revision, Plan $first): PlanRow
    {
        Quota::admitPlan($owner);

        return $this->made($owner, $plan, $id, $revision, $first);
    }

    private function made(User $owner, Plan $plan, ?string $id, int $revision, Plan $first): PlanRow
    {
        $row = new PlanRow(
            ($id === null ? [] : ['id' => $id]) + [
                'title' => $plan->title(),
                'foreign' => $plan->foreign === [] ? null : $plan->foreign,
                'revision' => 1,
                'changed_at' => now(),
            ] + PlanRow::columns($plan->properties),
        );
        $row->owner()->associate($owner)->save();
        Snapshots::keep($row, $first);
        $row->revision = $revision;
        $rows = new PlanRows();
        (new PlanWriter($rows))->write($row, new Plan([], [], [], $plan->properties), $plan, $revision);
        $this->summarise($row, Sight::of($plan));
        KeptTree::keepIfDue($row, $rows, $plan, 0);

        return $row;
    }

    /** Removes a plan for good, with everything that hangs on it. */
    public function erase(PlanRow $row): void
    {
        Transaction::of(static function () use ($row): void {
            // The rows point to each other; a cascade would end after fifteen levels.
            DB::table('topics')
                ->where('plan_id', $row->id)
                ->update(['parent_id' => null, 'place' => null]);
            $row->forceDelete();
        });
        Attachments::disk()->erase($row->id);
        PlanPictures::disk()->erase($row->id);
    }

    /** How many topics a plan has. */
    public function size(PlanRow $row): int
    {
        return DB::table('topics')->where('plan_id', $row->id)->whereNull('removed_at')->count();
    }

    /** @param bool $withNotes with the bodies of all notes, the sources and the relations */
    public function load(PlanRow $row, bool $withNotes = false): Plan
    {
        $rows = new PlanRows();
        $plan = $rows->tree($row);

        return $withNotes ? $rows->withRelations($rows->withSources($rows->withNotes($plan, $row->id), $row->id), $row->id) : $plan;
    }

    /** With all notes, sources, relations, and what was removed under the bin. */
    public function whole(PlanRow $row): Plan
    {
        $rows = new PlanRows();

        return $rows->withRelations(
            $rows->withSources($rows->withNotes($rows->withRemoved($rows->tree($row), $row->id), $row->id), $row->id),
            $row->id,
        );
    }

    /**
     * Does something with a plan as it is now, while nobody else can change it.
     *
     * @template T
     *
     * @param \Closure(): T $work
     *
     * @return T
     */
    public function locked(PlanRow $row, \Closure $work): mixed
    {
        return Transaction::of(static function () use ($row, $work): mixed {
            $row->setRawAttributes((array) DB::table('plans')->where('id', $row->id)->lockForUpdate()->first(), true);

            return $work();
        });
    }

    /**
     * Applies one change that nothing may refuse.
     *
     * @throws OperationRefused
     */
    public function insist(PlanRow $row, User $user, Change $change): Outcome
    {
        $outcome = $this->apply($row, $user, [$change]);
        foreach ($outcome->refused as $refused) {
            throw OperationRefused::again(Reason::from($refused['reason']), $refused['message']);
        }

        return $outcome;
    }

    /**
     * Applies an ordered batch, each change alone. An id that is in the log already is taken as
     * done; what builds on a refused change is refused with it.
     *
     * @param list<Change> $changes
     * @param bool         $isWholeAsked whether all of the plan must be there in what is returned; if not, it may be read in part
     */
    public function apply(PlanRow $row, User $user, array $changes, bool $isWholeAsked = true): Outcome
    {
        return $this->locked($row, function () use ($row, $user, $changes, $isWholeAsked): Outcome {
            $rows = new PlanRows();
            $written = self::notesWritten($changes);
            $asked = $changes;
            $new = $this->unknownOf($row->id, $changes);
            $isRepeated = \count($new) < \count($changes);
            $changes = $new;
            $revisions = self::revisions($row->id, $written);
            $within = $isWholeAsked || $isRepeated || $row->strip === null ? null : self::within($changes);
            // The main sections are in the strip, which is kept as it was but for their titles and dyes.
            $before
                = $within === null
                ? $this->loadedFor($rows, $row, $changes)
                : $rows->around($row, [...$within, ...array_column($row->strip ?? [], 'id')]);
            $state = $before;
            $seq = $row->revision;
            $log = $refused = $met = [];
            $missing = '';
            $compared = null;
            /** @var array<int, Difference> $did */
            $did = [];
            foreach ($changes as $change) {
                try {
                    // Applied first: what cannot be is refused there, before anything is asked about its topics.
                    $next = $this->applied($rows, $row, $change->operation, $before, $state);
                    if ($change->operation instanceof EditNote && $change->operation->meets($state)) {
                        $met[] = $change->operation->topic;
                    }
                    $says = $change->says ?? Wording::of($change->operation, $state);
                    // Of one change, by far the most frequent, the whole batch is not compared again.
                    $compared = $state === $before ? Comparison::between($state, $next) : null;
                    $did[++$seq] = Difference::between($state, $next, $compared);
                    $state = $next;
                    $log[] = [
                        'plan_id' => $row->id,
                        'seq' => $seq,
                        'op_id' => $change->id,
                        'step_id' => $change->step,
                        'undoes' => $change->undoes,
                        'user_id' => $user->id,
                        'type' => $change->operation->toArray()['type'],
                        'difference' => StoredDifference::write($did[$seq]),
                        'says' => $says,
                        'at' => now(),
                    ];
                } catch (OperationRefused $why) {
                    $form = json_encode($change->operation->toArray(), self::JSON);
                    $why = $why->reason === Reason::Gone && self::buildsOn($form, $missing, $state) ? OperationRefused::dependent() : $why;
                    $missing .= $form;
                    $refused[] = ['id' => $change->id, 'reason' => $why->reason->value, 'message' => $why->getMessage()];
                }
            }
            $sight = Sight::of($before, $row->strip, $row->words);
            $after = $sight->after($state, \count($did) === 1 ? $compared : null);
            $this->measures->add('embrel_operations_total', \count($log));
            $this->measures->add('embrel_refused_total', \count($refused));
            if ($log !== []) {
                $this->keep($row, $user, $rows, $sight, $after, $seq, $log, $within === null);
                StoredDifference::index($row->id, $did);
            }

            $notes = [];
            foreach ($log === [] ? $revisions : self::revisions($row->id, $written) as $topic => $revision) {
                $notes[$topic] = [$isRepeated || \in_array($topic, $met, true) ? null : $revisions[$topic] ?? null, $revision];
            }

            $last = end($log);

            return new Outcome(
                $sight,
                $after,
                $seq - \count($log),
                $seq,
                $refused,
                $last === false || $last['type'] === 'drop' ? null : $last['says'],
                $notes,
                $asked,
                $within === null,
                $within === null
                    ? new Difference()
                    : array_reduce($did, static fn(Difference $all, Difference $one): Difference => $all->then($one), new Difference()),
            );
        });
    }

    /**
     * @param list<Change> $changes
     *
     * @return list<string>|null all that they read and change; null: that is the whole plan
     */
    private static function within(array $changes): ?array
    {
        $ids = [];
        foreach ($changes as $change) {
            $topics = $change->operation->staysWithin();
            if ($topics === null) {
                return null;
            }
            array_push($ids, ...$topics);
        }

        return array_values(array_unique($ids));
    }

    /**
     * @param list<Change> $changes
     *
     * @return list<string> topics
     */
    private static function notesWritten(array $changes): array
    {
        $topics = [];
        foreach ($changes as $change) {
            if ($change->operation instanceof EditNote) {
                $topics[$change->operation->topic] = true;
            }
        }

        return array_keys($topics);
    }

    /**
     * @param list<string> $topics
     *
     * @return array<string, int> when the row of each was last written
     */
    private static function revisions(string $planId, array $topics): array
    {
        /** @var array<string, int> */
        return $topics === [] ? [] : DB::table('topics')->where('plan_id', $planId)->whereIn('id', $topics)->pluck('revision', 'id')->all();
    }

    /**
     * The plan after an operation; notes that it turns out to need are loaded into both states, as the same objects.
     *
     * @throws OperationRefused
     */
    private function applied(PlanRows $rows, PlanRow $row, Operation $operation, Plan &$before, Plan &$state): Plan
    {
        while (true) {
            try {
                return $operation->apply($state);
            } catch (NotesMissing $missing) {
                $known = $before;
                $before = $rows->withNotes($before, $row->id, $missing->topics);
                foreach ($missing->topics as $id) {
                    $note = $before->topic($id)->note ?? throw $missing;
                    $state = $state->with(
                        $state->topic($id) === $known->topic($id) ? $before->topic($id) : $state->topic($id)->withLoadedNote($note),
                    );
                }
            }
        }
    }

    /** Whether a refused change names something that is not in the plan, as one that was refused before it would have made it. */
    private static function buildsOn(string $form, string $missing, Plan $state): bool
    {
        return array_filter(Ulid::in($form), static fn(string $id): bool => !$state->has($id) && str_contains($missing, $id)) !== [];
    }

    /**
     * @param list<Change> $changes
     *
     * @return list<Change>
     */
    private function unknownOf(string $planId, array $changes): array
    {
        $known = DB::table('operations')->where('plan_id', $planId)->whereIn('op_id', array_column($changes, 'id'))->pluck('op_id')->flip();

        return array_values(array_filter($changes, static fn(Change $change): bool => !$known->has($change->id)));
    }

    /** @param list<Change> $changes */
    private function loadedFor(PlanRows $rows, PlanRow $row, array $changes): Plan
    {
        $notes = $removed = [];
        $sources = $relations = false;
        foreach ($changes as $change) {
            array_push($notes, ...$change->operation->needsNotes());
            array_push($removed, ...$change->operation->needsRemoved());
            $sources = $sources || $change->operation->needsSources();
            $relations = $relations || $change->operation->needsRelations();
        }
        $plan = $rows->withNotes($rows->withRemoved($rows->tree($row), $row->id, $removed), $row->id, $notes);

        $plan = $sources ? $rows->withSources($plan, $row->id) : $plan;

        return $relations ? $rows->withRelations($plan, $row->id) : $plan;
    }

    /**
     * @param list<array<string, mixed>> $log
     * @param bool                       $isWhole whether all of the plan was read
     */
    private function keep(PlanRow $row, User $user, PlanRows $rows, Sight $known, Sight $sight, int $seq, array $log, bool $isWhole): void
    {
        [$before, $after] = [$known->plan, $sight->plan];
        $written = (new PlanWriter($rows))->write($row, $before, $after, $seq, $sight->comparison);
        foreach (array_chunk($log, 100) as $chunk) {
            DB::table('operations')->insert($chunk);
        }
        if ($before->properties !== $after->properties) {
            $row->forceFill(PlanRow::columns($after->properties));
        }
        $row->forceFill(['revision' => $seq, 'title' => $after->title(), 'changed_at' => now()]);
        if ($sight->hasSameStripAs($known)) {
            $row->save();
        } else {
            $this->summarise($row, $sight);
        }
        if ($row->talk_revision > 0 && $sight->comparison !== null) {
            CommentPlaces::follow($row->id, $before, $after, $sight->comparison);
        }
        if ($isWhole) {
            KeptTree::keepIfDue($row, $rows, $after, $written);
        }
        if ($sight->comparison !== null && !$sight->hasSameWordsAs($known)) {
            WrittenWords::keep($row, $user, $before, $after, $sight->comparison);
        }
        (new Snapshots($this))->keepIfDue($row, $seq - \count($log));
    }

    /** Title, words and strip beside the plan's row, so that the list of plans needs no tree. */
    private function summarise(PlanRow $row, Sight $sight): void
    {
        $row->forceFill(['words' => $sight->words(), 'strip' => $sight->strip()])->save();
    }

    /** @return Change a change of this moment that carries one operation */
    public function change(Operation $operation, ?string $undoes = null, ?string $says = null): Change
    {
        return new Change($this->ids->next(), $this->ids->next(), $operation, $undoes, $says);
    }
}
