<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\Place;
use Embrel\Plan\Plan;

/** Sorts the parts of a topic, or of the plan itself. */
final readonly class SortParts extends Basic
{
    public function __construct(public string $parent, public SortBy $by, public bool $reversed = false) {}

    public function apply(Plan $plan): Plan
    {
        self::live($plan, $this->parent);
        $sorted = $this->by->sorted($plan, $this->parent);

        return (new MoveTopics($this->reversed ? array_reverse($sorted) : $sorted, new Place($this->parent)))->apply($plan);
    }

    public function toArray(): array
    {
        return ['type' => 'sort', 'parent' => $this->parent, 'by' => $this->by->value, 'reversed' => $this->reversed];
    }
}
