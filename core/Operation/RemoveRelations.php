<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\Plan;

/** Takes relations out of the plan. */
final readonly class RemoveRelations extends Basic
{
    /** @param list<string> $ids */
    public function __construct(public array $ids) {}

    public function apply(Plan $plan): Plan
    {
        foreach ($this->ids as $id) {
            isset($plan->relations[$id]) || throw OperationRefused::relationGone();
        }

        return $plan->withRelations(array_diff_key($plan->relations, array_flip($this->ids)));
    }

    public function needsRelations(): bool
    {
        return true;
    }

    public function toArray(): array
    {
        return ['type' => 'unrelate', 'ids' => $this->ids];
    }
}
