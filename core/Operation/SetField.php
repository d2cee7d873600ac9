<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\Plan;
use Embrel\Plan\Topic;

/** Sets one field of one or many topics to one value. */
abstract readonly class SetField extends Basic
{
    /** @param list<string> $ids */
    final public function __construct(public array $ids, public mixed $value) {}

    /**
     * Gives topics the value that another topic has.
     *
     * @param list<string> $ids
     */
    final public static function from(array $ids, Topic $topic): static
    {
        return new static($ids, self::valueOf($topic));
    }

    /** The field of Topic, which is also the short name of the operation. */
    abstract protected static function field(): string;

    /** The value as stored: text, number or null. */
    abstract protected static function stored(mixed $value): string|int|null;

    final public function apply(Plan $plan): Plan
    {
        foreach ($this->ids as $id) {
            $plan = $plan->with(self::movable($plan, $id)->with([static::field() => $this->value]));
        }

        return $plan;
    }

    /** @return array{type: string, ids: list<string>, value: string|int|null} */
    final public function toArray(): array
    {
        return ['type' => static::field(), 'ids' => $this->ids, 'value' => static::stored($this->value)];
    }

    private static function valueOf(Topic $topic): mixed
    {
        return get_object_vars($topic)[static::field()];
    }
}
