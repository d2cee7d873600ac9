<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\NotesMissing;
use Embrel\Plan\Plan;

/**
 * What a person asks for: applied to a plan, and written and read under a short name that never changes. What it did is
 * found afterwards, by comparing the plans before and after it (Difference/Difference).
 */
interface Operation
{
    /**
     * @throws OperationRefused when the plan does not allow it; the plan given is never altered
     * @throws NotesMissing     when it turns out to need notes that were not loaded
     */
    public function apply(Plan $plan): Plan;

    /** @return list<string> the topics whose note bodies must be loaded to apply it */
    public function needsNotes(): array;

    /** @return list<string> removed topics that must be loaded, under the bin, to apply it */
    public function needsRemoved(): array;

    /** Whether the plan's sources must be loaded to apply it. */
    public function needsSources(): bool;

    /** Whether the plan's relations must be loaded to apply it. */
    public function needsRelations(): bool;

    /**
     * @return list<string>|null the topics that it reads and changes, with those above them, where neither the tree nor any number
     *                           or sum of words depends on what it does; null: all of the plan must be loaded to apply it
     */
    public function staysWithin(): ?array;

    /** @return array<string, mixed> the form in which it is sent; `type` is the stable short name */
    public function toArray(): array;
}
