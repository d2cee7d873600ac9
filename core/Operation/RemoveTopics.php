<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\Edit;
use Embrel\Plan\Place;
use Embrel\Plan\Plan;

/** Removes topics with everything under them: into the bin, from where RestoreTopics brings them back. */
final readonly class RemoveTopics extends Basic
{
    /** @param list<string> $ids */
    public function __construct(public array $ids) {}

    public function apply(Plan $plan): Plan
    {
        $heads = self::heads($plan, $this->ids);

        return (new Edit($plan))->detach($heads)->insert($heads, Place::lastIn($plan, Plan::BIN))->done();
    }

    public function inverse(Plan $before): Operation
    {
        $heads = self::heads($before, $this->ids);
        $order = array_flip(Order::of($before, $heads));
        usort($heads, static fn(string $a, string $b): int => $order[$a] <=> $order[$b]);
        $places = [];
        $ids = [];
        foreach ($heads as $head) {
            $places[$head] = Place::of($before, $head);
            array_push($ids, ...$before->branch($head));
        }

        return new RestoreTopics($places, $ids);
    }

    public function touches(): array
    {
        return array_map(static fn(string $id): string => "{$id}:place", $this->ids);
    }

    public function toArray(): array
    {
        return ['type' => 'remove', 'ids' => $this->ids];
    }
}
