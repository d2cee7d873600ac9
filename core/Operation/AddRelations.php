<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Limits;
use Embrel\Plan\Plan;
use Embrel\Plan\Relation;

/** Relates topics to each other. */
final readonly class AddRelations extends Basic
{
    /** @param list<Relation> $relations */
    public function __construct(public array $relations) {}

    public function apply(Plan $plan): Plan
    {
        $relations = $plan->relations;
        foreach ($this->relations as $relation) {
            // An end may have been removed meanwhile, when this brings a relation back: then nobody sees it until the topic is back too.
            ($plan->has($relation->from) && $plan->has($relation->to)) || throw OperationRefused::gone($relation->from);
            $relations[$relation->id] = isset($relations[$relation->id]) ? throw OperationRefused::exists($relation->id) : $relation;
        }

        return \count($relations) > Limits::RELATIONS ? throw OperationRefused::tooManyRelations() : $plan->withRelations($relations);
    }

    public function needsRelations(): bool
    {
        return true;
    }

    public function needsRemoved(): array
    {
        return array_merge(...array_map(static fn(Relation $relation): array => [$relation->from, $relation->to], $this->relations));
    }

    public function toArray(): array
    {
        return [
            'type' => 'relate',
            'relations' => array_map(static fn(Relation $relation): array => $relation->toArray(), $this->relations),
        ];
    }
}
