<?php

declare(strict_types=1);

namespace Embrel\Reader;

use Embrel\Plan\Plan;

/** A plan that was read, and what had to be repaired or could not be kept. */
final readonly class Result
{
    /** @param list<string> $repairs a sentence each */
    public function __construct(public Plan $plan, public array $repairs) {}
}
