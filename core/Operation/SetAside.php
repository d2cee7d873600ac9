<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\Checking;
use Embrel\Plan\InvalidValue;
use Embrel\Plan\Plan;

/** Sets a finding of Check aside, and says why, or brings it back. */
final readonly class SetAside extends Basic
{
    /**
     * @param string      $finding its key
     * @param string|null $why     may be empty; null: it is brought back
     */
    public function __construct(public string $finding, public ?string $why) {}

    public function apply(Plan $plan): Plan
    {
        $aside = $plan->properties->setAside;
        try {
            if ($this->why === null) {
                unset($aside[Checking::finding($this->finding)]);
            } else {
                $aside[$this->finding] = $this->why;
            }
            $pairs = array_map(static fn(string $finding, string $reason): array => [$finding, $reason], array_keys($aside), $aside);

            return $plan->withProperties($plan->properties->with(['set_aside' => $pairs]));
        } catch (InvalidValue $why) {
            throw OperationRefused::value($why);
        }
    }

    public function toArray(): array
    {
        return ['type' => 'set-aside', 'finding' => $this->finding, 'why' => $this->why];
    }
}
