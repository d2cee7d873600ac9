<?php

declare(strict_types=1);

namespace App\Store;

use Embrel\Plan\Plan;

/** What came of a batch: the plan before and after it, and what was refused. */
final readonly class Outcome
{
    /** @param list<array{id: string, reason: string, message: string}> $refused */
    public function __construct(public Plan $before, public Plan $after, public int $from, public int $revision, public array $refused, public PlanRows $rows) {}
}
