<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\InvalidValue;
use Embrel\Plan\Plan;

/** Changes how a relation is called and drawn: its label, dye, arrows or bend. */
final readonly class ChangeRelation extends Basic
{
    public const FIELDS = ['label', 'dye', 'arrows', 'bend'];

    /** @param array<string, mixed> $set field → value as stored */
    public function __construct(public string $id, public array $set) {}

    public function apply(Plan $plan): Plan
    {
        $relation = $plan->relations[$this->id] ?? throw OperationRefused::relationGone();
        try {
            return $plan->withRelations([$this->id => $relation->with($this->set)] + $plan->relations);
        } catch (InvalidValue $why) {
            throw OperationRefused::value($why);
        }
    }

    public function needsRelations(): bool
    {
        return true;
    }

    public function toArray(): array
    {
        return ['type' => 'relation', 'relation' => $this->id, 'set' => $this->set];
    }
}
