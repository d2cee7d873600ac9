<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Limits;
use Embrel\Plan\Edit;
use Embrel\Plan\Place;
use Embrel\Plan\Plan;

/** Brings removed topics back, with everything that was removed along with them. */
final readonly class RestoreTopics extends Basic
{
    /**
     * @param array<string, Place> $places head → where it goes, in reading order
     * @param list<string>         $ids    all topics that come back, heads among them
     */
    public function __construct(public array $places, public array $ids) {}

    public function apply(Plan $plan): Plan
    {
        if (\count($plan->topics) > Limits::TOPICS + 3) {
            throw OperationRefused::tooMany();
        }
        $edit = new Edit($plan);
        foreach ($this->places as $head => $place) {
            if (!$plan->has($head) || $plan->parent($head) !== Plan::BIN) {
                throw OperationRefused::gone($head);
            }
            if (!isset($this->places[$place->parent])) {
                self::live($plan, $place->parent);
                if ($plan->level($place->parent) + $plan->height($head) > Limits::LEVELS) {
                    throw OperationRefused::tooDeep();
                }
            }
            $edit->detach([$head])->insert([$head], $place);
        }

        return AddTopics::undyed($edit->done(), array_map(strval(...), array_keys($this->places)));
    }

    public function needsRemoved(): array
    {
        return $this->ids;
    }

    public function toArray(): array
    {
        $heads = [];
        foreach ($this->places as $id => $place) {
            $heads[] = ['id' => $id] + $place->toArray();
        }

        return ['type' => 'restore', 'heads' => $heads, 'ids' => $this->ids];
    }
}
