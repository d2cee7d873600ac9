<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\Field;
use Embrel\Plan\Plan;
use Embrel\Plan\Topic;

/** Sets one field of one or many topics to one value. Its short name is that of the field. */
final readonly class SetField extends Basic
{
    /**
     * @param list<string> $ids
     * @param mixed        $value of the field's own type
     */
    public function __construct(public Field $field, public array $ids, public mixed $value) {}

    /**
     * Gives topics the value that another topic has.
     *
     * @param list<string> $ids
     */
    public static function from(Field $field, array $ids, Topic $topic): self
    {
        return new self($field, $ids, $topic->{$field->value});
    }

    public function apply(Plan $plan): Plan
    {
        foreach ($this->ids as $id) {
            $plan = $plan->with(self::movable($plan, $id)->with([$this->field->value => $this->value]));
        }

        return $plan;
    }

    public function staysWithin(): ?array
    {
        return $this->field->counts() ? null : $this->ids;
    }

    public function toArray(): array
    {
        $value = $this->field->form($this->value);
        // The usual value is spelled out, where it is one.
        $value ??= $this->value instanceof \BackedEnum ? $this->value->value : ($this->value === '' ? '' : null);

        return ['type' => $this->field->value, 'ids' => $this->ids, 'value' => $value];
    }
}
