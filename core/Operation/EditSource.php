<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Citation\Source;
use Embrel\Citation\SourceForm;
use Embrel\Plan\Plan;

/** Changes fields of a source. */
final readonly class EditSource extends Basic
{
    /** @param Source $source as it is to be */
    public function __construct(public Source $source) {}

    public function apply(Plan $plan): Plan
    {
        isset($plan->sources[$this->source->id]) || throw OperationRefused::sourceGone();

        return $plan->withSources(array_replace($plan->sources, [$this->source->id => $this->source]));
    }

    public function needsSources(): bool
    {
        return true;
    }

    public function toArray(): array
    {
        return ['type' => 'edit-source', 'source' => SourceForm::toArray($this->source)];
    }
}
