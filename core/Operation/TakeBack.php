<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Difference\Conflict;
use Embrel\Difference\Difference;
use Embrel\Difference\Undoing;
use Embrel\Plan\Plan;

/** Takes back what a step did, or brings it back again. It is asked for by the name of the step, and never sent itself. */
final readonly class TakeBack extends Basic
{
    /**
     * @param Difference                                                    $back  what the step did, turned round
     * @param \Closure(list<string>): list<array{Difference, string}>       $since what others have done after it with these
     *                                                                             topics, each with who did what
     */
    public function __construct(private Difference $back, private \Closure $since) {}

    public function apply(Plan $plan): Plan
    {
        try {
            $undoing = Undoing::of($this->back, ($this->since)(Undoing::concerns($this->back, $plan)), $plan);

            return $undoing->difference->in($plan, $undoing->placed);
        } catch (Conflict $why) {
            throw OperationRefused::changed($why->getMessage());
        }
    }

    /** @return list<string> the topics that it changes or moves */
    public function topics(): array
    {
        return $this->back->topicsTouched();
    }

    public function needsNotes(): array
    {
        return $this->back->notes();
    }

    public function needsRemoved(): array
    {
        return $this->back->removed();
    }

    public function needsSources(): bool
    {
        return $this->back->sources !== [];
    }

    public function needsRelations(): bool
    {
        return $this->back->relations !== [];
    }

    public function toArray(): array
    {
        return ['type' => 'undo'];
    }
}
