<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\Plan;

/** Several operations as one: all or nothing. */
final readonly class Compound extends Basic
{
    /** Taken from what a helper answered. */
    public const HELPER = 'helper';

    /**
     * @param list<Operation> $operations
     * @param string          $from       where they come from, which the history says: HELPER; '' of the writer's own
     */
    public function __construct(public array $operations, public string $from = '') {}

    public function apply(Plan $plan): Plan
    {
        foreach ($this->operations as $operation) {
            $plan = $operation->apply($plan);
        }

        return $plan;
    }

    public function needsNotes(): array
    {
        return array_merge(...array_map(static fn(Operation $one): array => $one->needsNotes(), $this->operations));
    }

    public function needsRemoved(): array
    {
        return array_merge(...array_map(static fn(Operation $one): array => $one->needsRemoved(), $this->operations));
    }

    public function needsSources(): bool
    {
        return $this->some(static fn(Operation $one): bool => $one->needsSources());
    }

    public function needsRelations(): bool
    {
        return $this->some(static fn(Operation $one): bool => $one->needsRelations());
    }

    /** @param \Closure(Operation): bool $asks */
    private function some(\Closure $asks): bool
    {
        foreach ($this->operations as $operation) {
            if ($asks($operation)) {
                return true;
            }
        }

        return false;
    }

    public function toArray(): array
    {
        return ['type' => 'compound', 'operations' => array_map(static fn(Operation $one): array => $one->toArray(), $this->operations)]
            + ($this->from === '' ? [] : ['from' => $this->from]);
    }
}
