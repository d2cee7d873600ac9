<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\InvalidValue;
use Embrel\Plan\Plan;
use Embrel\Plan\Work;

/** Says that work on topics is done, on a day; what comes again is to be done anew then. */
final readonly class FinishWork extends Basic
{
    /**
     * @param list<string> $ids
     * @param string       $on  the calendar date of today, where the person is
     */
    public function __construct(public array $ids, public string $on) {}

    public function apply(Plan $plan): Plan
    {
        try {
            foreach ($this->ids as $id) {
                $plan = $plan->with(Work::done(self::movable($plan, $id), $this->on));
            }
        } catch (InvalidValue $why) {
            throw OperationRefused::value($why);
        }

        return $plan;
    }

    public function staysWithin(): array
    {
        return $this->ids;
    }

    public function toArray(): array
    {
        return ['type' => 'finish', 'ids' => $this->ids, 'on' => $this->on];
    }
}
