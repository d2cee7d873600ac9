<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\Plan;

/** One change of a plan: applied, undone, stored and merged. Stored under a short name that never changes. */
interface Operation
{
    /**
     * @throws OperationRefused when the plan does not allow it; the plan given is never altered
     * @throws NotesMissing     when it turns out to need notes that were not loaded
     */
    public function apply(Plan $plan): Plan;

    /** What takes this operation back, computed from the plan before it. */
    public function inverse(Plan $before): self;

    /** @return list<string> the topics whose note bodies must be loaded to apply or invert it */
    public function needsNotes(): array;

    /** @return list<string> removed topics that must be loaded, under the bin, to apply it */
    public function needsRemoved(): array;

    /** Whether the plan's sources must be loaded to apply it. */
    public function needsSources(): bool;

    /** Whether the plan's relations must be loaded to apply it. */
    public function needsRelations(): bool;

    /** @return list<string> what it changes, as “topic:field”: for telling whether two changes meet */
    public function touches(): array;

    /** This and the next as one operation, where they are small edits of the same thing. */
    public function merge(self $next): ?self;

    /** @return array<string, mixed> the storage form; `type` is the stable short name */
    public function toArray(): array;
}
