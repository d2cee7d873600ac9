<?php

declare(strict_types=1);

namespace Embrel\Plan;

use Embrel\Shape;

/** Where a topic stands: under which parent, and after which of its parts (null: first). */
final readonly class Place
{
    public function __construct(public string $parent, public ?string $after = null) {}

    public static function lastIn(Plan $plan, string $parent): self
    {
        $parts = $plan->parts($parent);

        return new self($parent, $parts === [] ? null : $parts[\count($parts) - 1]);
    }

    /** Where a topic of the plan stands now. */
    public static function of(Plan $plan, string $id): self
    {
        $parent = (string) $plan->parent($id);
        $parts = $plan->parts($parent);
        $at = array_search($id, $parts, true);

        return new self($parent, $at === 0 || $at === false ? null : $parts[$at - 1]);
    }

    public static function fromShape(Shape $shape): self
    {
        return new self($shape->id('parent'), $shape->idOr('after', null));
    }

    /** @return array{parent: string, after: string|null} */
    public function toArray(): array
    {
        return ['parent' => $this->parent, 'after' => $this->after];
    }
}
