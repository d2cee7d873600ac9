<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Difference\Difference;
use Embrel\Plan\Plan;

/** What operations did, for logs that kept only what was asked: each is carried out once more, for the last time. */
final class Replay
{
    /**
     * @param Plan                      $plan       whole, before the first of them
     * @param iterable<int, Operation>  $operations seq → what was asked, in order
     * @param \Closure(int): (Plan|null) $kept      the whole plan as it was kept after an operation: what follows was read on from there
     *
     * @return \Generator<int, Difference> one that the plan refuses by now has done nothing
     */
    public static function of(Plan $plan, iterable $operations, \Closure $kept): \Generator
    {
        foreach ($operations as $seq => $operation) {
            try {
                $next = $operation->apply($plan);
            } catch (OperationRefused) {
                $next = $plan;
            }
            yield $seq => Difference::between($plan, $next);
            $plan = $kept($seq) ?? $next;
        }
    }
}
