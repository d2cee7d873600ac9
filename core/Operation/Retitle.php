<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\InvalidValue;
use Embrel\Plan\Plan;
use Embrel\Plan\Topic;

/** Gives a topic, or the plan by its root, another title. */
final readonly class Retitle extends Basic
{
    public function __construct(public string $id, public string $title) {}

    public function apply(Plan $plan): Plan
    {
        try {
            return $plan->with(self::live($plan, $this->id)->withTitle(Topic::title($this->title)));
        } catch (InvalidValue $why) {
            throw OperationRefused::value($why);
        }
    }

    public function inverse(Plan $before): Operation
    {
        return new self($this->id, $before->topic($this->id)->title);
    }

    public function merge(Operation $next): ?Operation
    {
        return $next instanceof self && $next->id === $this->id ? $next : null;
    }

    public function touches(): array
    {
        return ["{$this->id}:title"];
    }

    public function toArray(): array
    {
        return ['type' => 'retitle', 'topic' => $this->id, 'title' => $this->title];
    }
}
