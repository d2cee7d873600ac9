<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\Edit;
use Embrel\Plan\Place;
use Embrel\Plan\Plan;

/** Removes topics with everything under them: into the bin, from where RestoreTopics brings them back. */
final readonly class RemoveTopics extends Basic
{
    /**
     * @param list<string> $ids
     * @param bool         $onlyEmpty those that have a title, a note, parts or anything else by now stay
     */
    public function __construct(public array $ids, public bool $onlyEmpty = false) {}

    public function apply(Plan $plan): Plan
    {
        $heads = $this->chosen($plan);
        if ($heads === []) {
            return $plan;
        }

        return (new Edit($plan))->detach($heads)->insert($heads, Place::lastIn($plan, Plan::BIN))->done();
    }

    /** @return list<string> */
    private function chosen(Plan $plan): array
    {
        $heads = self::heads($plan, $this->ids);

        $isEmpty = static fn(string $id): bool => $plan->parts($id) === [] && $plan->topic($id)->isBare();

        return $this->onlyEmpty ? array_values(array_filter($heads, $isEmpty)) : $heads;
    }

    public function toArray(): array
    {
        return ['type' => $this->onlyEmpty ? 'drop' : 'remove', 'ids' => $this->ids];
    }
}
