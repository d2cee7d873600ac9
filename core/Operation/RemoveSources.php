<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\Plan;

/** Takes sources out of those of the plan. */
final readonly class RemoveSources extends Basic
{
    /** @param list<string> $ids */
    public function __construct(public array $ids) {}

    public function apply(Plan $plan): Plan
    {
        foreach ($this->ids as $id) {
            isset($plan->sources[$id]) || throw OperationRefused::sourceGone();
        }

        return $plan->withSources(array_diff_key($plan->sources, array_flip($this->ids)));
    }

    public function needsSources(): bool
    {
        return true;
    }

    public function toArray(): array
    {
        return ['type' => 'unsource', 'ids' => $this->ids];
    }
}
