<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Picture;
use App\Models\Plan as PlanRow;
use App\Models\User;
use Embrel\Archive\Shelf;
use Embrel\Id\CountedIds;
use Embrel\Id\Ids;
use Embrel\Intake\Branch;
use Embrel\Intake\Options;
use Embrel\Intake\PictureNames;
use Embrel\Intake\Result;
use Embrel\Operation\Compound;
use Embrel\Operation\EditNote;
use Embrel\Operation\OperationRefused;
use Embrel\Plan\Plan;
use Embrel\Reader\Format;
use Embrel\Reader\Unreadable;
use Illuminate\Support\Facades\Gate;

/** Takes a file in: reads it, writes its pictures anew, and keeps it as a plan or as a branch of one; all of it or nothing. */
final readonly class Intakes
{
    public function __construct(private PlanStore $store, private Ids $ids) {}

    /**
     * Only reads.
     *
     * @param resource $in
     *
     * @throws Unreadable
     */
    public function read($in, Format $format, Options $options): Result
    {
        return WorkFolder::with(fn(string $work): Result => $format->read($in, $options, $this->ids, $work, new Shelf($work)));
    }

    /**
     * Reads a file whose pictures are then those of a plan: what was not in it yet is kept there if that is wanted.
     *
     * @param resource $in
     *
     * @throws Unreadable
     */
    public function readWithPictures(PlanRow $row, $in, Format $format, Options $options, bool $keeps): Result
    {
        return WorkFolder::with(function (string $work) use ($row, $in, $format, $options, $keeps): Result {
            $shelf = new Shelf($work);
            // The same ids for the same file: what was found in it is named by them when it is accepted.
            $read = $format->read($in, $options, new CountedIds('07'), $work, $shelf);
            $kept = new PlanPictures($row->id);
            // A picture that came back as it went is the plan's own.
            $known = array_filter($shelf->ids(), static fn(string $id): bool => $kept->find($id) !== null);
            [$now, $files] = $this->pictures(
                $shelf,
                $read->plan,
                $work,
                static function (int $done, int $of, string $says): void {},
                $known,
            );
            foreach ($keeps ? $files : [] as $path) {
                $kept->keep((string) file_get_contents($path));
            }

            return new Result(
                $now === [] ? $read->plan : PictureNames::changed($read->plan, $now),
                $read->repairs,
                came: $read->came,
                origin: $read->origin,
                typed: $read->typed,
                heard: $read->heard,
            );
        });
    }

    /**
     * @param resource                          $in
     * @param string                            $into a plan's id; empty for a new plan
     * @param string                            $under
     *     a topic of that plan, below which it comes; empty: as a main section that is named after it
     * @param \Closure(int, int, string): void|null $progress done, of how many, what is being done
     *
     * @return array{plan: PlanRow, repairs: list<string>}
     *
     * @throws Unreadable|OperationRefused
     */
    public function keep(
        User $user,
        $in,
        Format $format,
        Options $options,
        string $into = '',
        string $under = '',
        ?\Closure $progress = null,
    ): array {
        $progress ??= static function (int $done, int $of, string $says): void {};

        return WorkFolder::with(function (string $work) use ($user, $in, $format, $options, $into, $under, $progress): array {
            $shelf = new Shelf($work);
            $progress(0, 0, 'Reading the file');
            $read = $format->read($in, $options, $this->ids, $work, $shelf);
            [$now, $pictures, $lost] = $this->pictures($shelf, $read->plan, $work, $progress);
            $plan = $now === [] ? $read->plan : PictureNames::changed($read->plan, $now);
            $progress(\count($now), \count($now), 'Keeping the plan');
            // Pictures first: they may take their time, and no plan is locked for them.
            $target = $into === '' ? null : PlanRow::query()->where('id', $into)->firstOrFail();
            $target === null ? null : Gate::forUser($user)->authorize('update', $target);
            $target === null ? Quota::admit($user, (int) array_sum(array_map(filesize(...), $pictures))) : null;
            $kept = new PlanPictures($id = $target->id ?? $this->ids->next());
            $written = array_map(static fn(string $path): Picture => $kept->write((string) file_get_contents($path)), $pictures);
            $row = Transaction::of(function () use ($user, $plan, $read, $id, $target, $under, $kept, $written): PlanRow {
                $row = $target === null ? $this->store->create($user, $plan, $id) : $this->branch($user, $plan, $target, $under);
                $kept->add($written);
                foreach ($read->heard as $topic => $heard) {
                    DraftComments::keep($row, (string) $topic, $heard);
                }

                return $row;
            });

            return [
                'plan' => $row,
                'repairs'
                    => $lost === 0
                        ? $read->repairs
                        : [...$read->repairs, "Pictures that are damaged or too large ({$lost}) were left out; their descriptions stay."],
            ];
        });
    }

    /**
     * @param \Closure(int, int, string): void $progress
     * @param list<string>|array<int, string>    $known ids of those that need not be written anew
     *
     * @return array{array<string, \Embrel\Plan\Picture|null>, list<string>, int} what each picture is now, the files of those that were kept, how many could not be
     */
    private function pictures(Shelf $shelf, Plan $plan, string $work, \Closure $progress, array $known = []): array
    {
        $wanted = array_diff(array_intersect($shelf->ids(), PlanPictures::of($plan->topics)), $known);
        $now = $files = [];
        $lost = 0;
        foreach (array_values($wanted) as $i => $id) {
            $progress($i, \count($wanted), 'Writing pictures anew');
            try {
                $taken = PictureIntake::of((string) $shelf->file($id));
                $now[$id] = $taken->picture();
                $files[] = $path = "{$work}/{$now[$id]->id}.taken";
                file_put_contents($path, $taken->bytes);
            } catch (\DomainException) {
                $now[$id] = null;
                ++$lost;
            }
        }

        return [$now, $files, $lost];
    }

    /** @throws OperationRefused */
    private function branch(User $user, Plan $read, PlanRow $row, string $under): PlanRow
    {
        $tree = $this->store->load($row);
        $add = $under === '' ? Branch::of($read, $this->ids, $tree) : Branch::below($read, $tree, $under);
        $operation = $add === null ? null : PlanSources::along($row, $read->sources, $add, true);
        // What stood before the first topic goes on in the note of the one below which it comes.
        $opening = $under === '' ? [] : array_values($read->topic(Plan::ROOT)->note->blocks ?? []);
        if ($opening !== []) {
            $operation = new Compound([new EditNote($under, $opening), ...$operation === null ? [] : [$operation]]);
        }
        if ($operation === null) {
            return $row;
        }
        $outcome = $this->store->apply($row, $user, [$this->store->change($operation)]);
        if ($outcome->refused !== []) {
            throw OperationRefused::value(new \DomainException($outcome->refused[0]['message'] . ' Nothing was taken in.'));
        }

        return $row;
    }
}
