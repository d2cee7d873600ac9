<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Difference\Conflict;
use Embrel\Difference\Undoing;
use Embrel\Plan\Plan;

/** Takes back what a step did, or brings it back again. It is asked for by the name of the step, and never sent itself. */
final readonly class TakeBack extends Basic
{
    public function __construct(private Undoing $undoing) {}

    public function apply(Plan $plan): Plan
    {
        try {
            return $this->undoing->difference->in($plan, $this->undoing->placed);
        } catch (Conflict $why) {
            throw OperationRefused::changed($why->getMessage());
        }
    }

    /** @return list<string> the topics that it changes or moves */
    public function topics(): array
    {
        return $this->undoing->difference->topicsTouched();
    }

    public function needsNotes(): array
    {
        return $this->undoing->difference->notes();
    }

    public function needsRemoved(): array
    {
        return $this->undoing->difference->removed();
    }

    public function needsSources(): bool
    {
        return $this->undoing->difference->sources !== [];
    }

    public function needsRelations(): bool
    {
        return $this->undoing->difference->relations !== [];
    }

    public function toArray(): array
    {
        return ['type' => 'undo'];
    }
}
