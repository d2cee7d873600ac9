<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\Plan;

/** An operation that says what it does in terms of simpler ones. */
abstract readonly class Composed extends Basic
{
    /**
     * The simpler operations, each made for the plan as the ones before it leave it.
     *
     * @throws OperationRefused
     */
    abstract protected function inTerms(Plan $plan): Compound;

    final public function apply(Plan $plan): Plan
    {
        return $this->inTerms($plan)->apply($plan);
    }
}
