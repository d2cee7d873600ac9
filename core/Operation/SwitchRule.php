<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\InvalidValue;
use Embrel\Plan\Plan;

/** Switches a rule of Check off for a plan, or on again. */
final readonly class SwitchRule extends Basic
{
    public function __construct(public string $rule, public bool $isOn) {}

    public function apply(Plan $plan): Plan
    {
        $off = array_values(array_diff($plan->properties->rulesOff, [$this->rule]));
        try {
            return $plan->withProperties($plan->properties->with(['rules_off' => $this->isOn ? $off : [...$off, $this->rule]]));
        } catch (InvalidValue $why) {
            throw OperationRefused::value($why);
        }
    }

    public function toArray(): array
    {
        return ['type' => 'rule', 'rule' => $this->rule, 'on' => $this->isOn];
    }
}
