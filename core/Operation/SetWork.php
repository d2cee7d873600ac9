<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\Field;
use Embrel\Plan\InvalidValue;
use Embrel\Plan\Plan;
use Embrel\Plan\Work;

/** Sets who works on topics, from when, by when, and how often: some of it or all; what is not named stays. */
final readonly class SetWork extends Basic
{
    /**
     * @param list<string>         $ids
     * @param array<string, mixed> $set field → value of its own type
     */
    public function __construct(public array $ids, public array $set) {}

    public function apply(Plan $plan): Plan
    {
        foreach ($this->ids as $id) {
            $topic = self::movable($plan, $id)->with($this->set);
            if (Work::isReversed($topic)) {
                throw OperationRefused::value(new InvalidValue("{$topic->begins} to {$topic->due} ends before it begins."));
            }
            $plan = $plan->with($topic);
        }

        return $plan;
    }

    public function staysWithin(): array
    {
        return $this->ids;
    }

    public function toArray(): array
    {
        $set = [];
        foreach ($this->set as $name => $value) {
            $set[$name] = Field::from($name)->form($value);
        }

        return ['type' => 'work', 'ids' => $this->ids, 'set' => $set];
    }
}
