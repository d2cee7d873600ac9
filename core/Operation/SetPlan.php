<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\MalformedShape;
use Embrel\Plan\InvalidValue;
use Embrel\Plan\Plan;

/** Sets properties of the plan: subtitle, author, form, numbering… Its title is set by Retitle. */
final readonly class SetPlan extends Basic
{
    /** @param array<array-key, mixed> $set some of the keys of Properties::DEFAULTS */
    public function __construct(public array $set) {}

    public function apply(Plan $plan): Plan
    {
        try {
            return $plan->withProperties($plan->properties->with($this->set));
        } catch (InvalidValue|MalformedShape $why) {
            throw OperationRefused::value($why);
        }
    }

    public function toArray(): array
    {
        return ['type' => 'plan', 'set' => $this->set];
    }
}
