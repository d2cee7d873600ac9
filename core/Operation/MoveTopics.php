<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Limits;
use Embrel\Plan\Edit;
use Embrel\Plan\Place;
use Embrel\Plan\Plan;

/**
 * Moves topics with everything under them, keeping the order they are given in. A topic that
 * becomes a main section without a dye of its own takes the least used one, and one that is none any
 * more loses the dye that it got by itself.
 */
final readonly class MoveTopics extends Basic
{
    /** @param list<string> $ids */
    public function __construct(public array $ids, public Place $place) {}

    public function apply(Plan $plan): Plan
    {
        self::live($plan, $this->place->parent);
        $heads = self::heads($plan, $this->ids);
        $level = $plan->level($this->place->parent);
        foreach ($heads as $head) {
            if ($plan->isWithin($this->place->parent, $head)) {
                throw OperationRefused::intoItself();
            }
            if ($level + $plan->height($head) > Limits::LEVELS) {
                throw OperationRefused::tooDeep();
            }
        }
        $next = (new Edit($plan))->detach($heads)->insert($heads, $this->standing($plan, $heads))->done();

        $new = array_values(array_filter($heads, fn(string $id): bool => $plan->parent($id) !== $this->place->parent));

        return AddTopics::dyed($next, $new);
    }

    /**
     * The place with a sibling to stand after that does not move itself.
     *
     * @param list<string> $heads
     */
    private function standing(Plan $plan, array $heads): Place
    {
        $after = $this->place->after;
        if ($after === null || !\in_array($after, $heads, true) || $plan->parent($after) !== $this->place->parent) {
            return $this->place;
        }
        $parts = $plan->parts($this->place->parent);
        $at = (int) array_search($after, $parts, true);
        while ($at >= 0 && \in_array($parts[$at], $heads, true)) {
            --$at;
        }

        return new Place($this->place->parent, $at < 0 ? null : $parts[$at]);
    }

    public function toArray(): array
    {
        return ['type' => 'move', 'ids' => $this->ids, 'at' => $this->place->toArray()];
    }
}
