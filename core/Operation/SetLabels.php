<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\InvalidValue;
use Embrel\Plan\Label;
use Embrel\Plan\Plan;

/** Puts labels on topics, and takes others off them. One that the plan does not have yet comes into its list. */
final readonly class SetLabels extends Basic
{
    /**
     * @param list<string> $ids
     * @param list<string> $put
     * @param list<string> $take
     */
    public function __construct(public array $ids, public array $put, public array $take = []) {}

    public function apply(Plan $plan): Plan
    {
        try {
            $plan = Label::listed($plan, $this->put);
            $put = array_map(static fn(string $name): string => Label::asListed($plan, $name), $this->put);
            $take = array_map(Label::key(...), $this->take);
            foreach ($this->ids as $id) {
                $topic = self::movable($plan, $id);
                $stay = array_filter($topic->labels, static fn(string $name): bool => !\in_array(Label::key($name), $take, true));
                $plan = $plan->with($topic->with(['labels' => Label::names([...$stay, ...$put])]));
            }
        } catch (InvalidValue $why) {
            throw OperationRefused::value($why);
        }

        return $plan;
    }

    public function toArray(): array
    {
        return ['type' => 'label', 'ids' => $this->ids, 'put' => $this->put, 'take' => $this->take];
    }
}
