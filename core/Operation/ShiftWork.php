<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\Edit;
use Embrel\Plan\InvalidValue;
use Embrel\Plan\Plan;
use Embrel\Plan\Work;

/** Moves the days of work on topics, and on all that is under them, by so many days. */
final readonly class ShiftWork extends Basic
{
    /** Ten years. */
    private const MOST = 3_660;

    /**
     * @param list<string> $ids
     *
     * @throws InvalidValue when it is farther than plans reach
     */
    public function __construct(public array $ids, public int $days)
    {
        abs($days) <= self::MOST || throw new InvalidValue('Work is moved by ten years at most.');
    }

    public function apply(Plan $plan): Plan
    {
        $edit = new Edit($plan);
        try {
            foreach (self::heads($plan, $this->ids) as $head) {
                foreach ($plan->branch($head) as $id) {
                    $edit->put(Work::shifted($plan->topic($id), $this->days));
                }
            }
        } catch (InvalidValue $why) {
            throw OperationRefused::value($why);
        }

        return $edit->done();
    }

    public function toArray(): array
    {
        return ['type' => 'shift', 'ids' => $this->ids, 'days' => $this->days];
    }
}
