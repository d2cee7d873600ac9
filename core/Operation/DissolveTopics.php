<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\Place;
use Embrel\Plan\Plan;

/** Puts the parts of topics where the topics stand, and removes these. */
final readonly class DissolveTopics extends Composed
{
    /** @param list<string> $ids */
    public function __construct(public array $ids) {}

    protected function inTerms(Plan $plan): Compound
    {
        $steps = [];
        foreach ($this->ids as $id) {
            self::movable($plan, $id);
            $parts = $plan->parts($id);
            $step = new Compound([
                ...($parts === [] ? [] : [new MoveTopics($parts, new Place((string) $plan->parent($id), $id))]),
                new RemoveTopics([$id]),
            ]);
            $plan = $step->apply($plan);
            $steps[] = $step;
        }

        return new Compound($steps);
    }

    public function toArray(): array
    {
        return ['type' => 'dissolve', 'ids' => $this->ids];
    }
}
