<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\Place;
use Embrel\Plan\Plan;
use Embrel\Plan\Topic;

/** Puts a new parent around topics, where the first of them stands; they keep their reading order. */
final readonly class WrapTopics extends Composed
{
    /** @param list<string> $ids */
    public function __construct(public array $ids, public string $new, public string $title = '') {}

    protected function inTerms(Plan $plan): Compound
    {
        $heads = Order::of($plan, self::heads($plan, $this->ids));
        $parent = new Topic($this->new, Topic::title($this->title));
        if ($plan->parent($heads[0]) === Plan::ROOT) {
            $parent = $parent->with(['dye' => $plan->topic($heads[0])->dye?->given()]);
        }

        return new Compound([AddTopics::one($parent, Place::of($plan, $heads[0])), new MoveTopics($heads, new Place($this->new))]);
    }

    public function toArray(): array
    {
        return ['type' => 'wrap', 'ids' => $this->ids, 'new' => $this->new, 'title' => $this->title];
    }
}
