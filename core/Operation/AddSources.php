<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Citation\Source;
use Embrel\Citation\SourceForm;
use Embrel\Limits;
use Embrel\Plan\Plan;

/** Adds sources to those of the plan. */
final readonly class AddSources extends Basic
{
    /** @param list<Source> $sources */
    public function __construct(public array $sources) {}

    public function apply(Plan $plan): Plan
    {
        $sources = $plan->sources;
        foreach ($this->sources as $source) {
            $sources[$source->id] = isset($sources[$source->id]) ? throw OperationRefused::sourceExists() : $source;
        }

        return \count($sources) <= Limits::SOURCES ? $plan->withSources($sources) : throw OperationRefused::tooManySources();
    }

    public function needsSources(): bool
    {
        return true;
    }

    public function toArray(): array
    {
        return ['type' => 'source', 'sources' => array_map(SourceForm::toArray(...), $this->sources)];
    }
}
