<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\Field;
use Embrel\Plan\Place;
use Embrel\Plan\Plan;
use Embrel\RichText\Note;

/**
 * Joins a topic with one above it, whose id stays: titles and notes run on, and the parts of the
 * lower one take its place where the upper is its parent, else stand last under the upper.
 */
final readonly class JoinTopics extends Composed
{
    public function __construct(public string $upper, public string $lower) {}

    protected function inTerms(Plan $plan): Compound
    {
        $upper = self::movable($plan, $this->upper);
        $lower = self::movable($plan, $this->lower);
        if ($plan->isWithin($this->upper, $this->lower)) {
            throw OperationRefused::intoItself();
        }
        $steps = [new Retitle($this->upper, $this->joinedTitle($upper->title, $lower->title))];
        if ($lower->note !== null && !$lower->note->isEmpty()) {
            $steps[] = $this->joinedNotes($upper->note ?? Note::empty(), $lower->note);
        }
        if ($lower->labels !== []) {
            $steps[] = new SetLabels([$this->upper], $lower->labels);
        }
        foreach (Field::cases() as $field) {
            if ($field->isOfWork() && $field->written($upper) === null && $field->written($lower) !== null) {
                $steps[] = SetField::from($field, [$this->upper], $lower);
            }
        }
        $parts = $plan->parts($this->lower);
        if ($parts !== []) {
            $steps[] = new MoveTopics($parts, $plan->parent($this->lower) === $this->upper
                ? new Place($this->upper, $this->lower)
                : Place::lastIn($plan, $this->upper));
        }
        $steps[] = new RemoveTopics([$this->lower]);

        return new Compound($steps);
    }

    /** Without doubling or losing the space between them. */
    private function joinedTitle(string $upper, string $lower): string
    {
        $glue = $upper === '' || $lower === '' || str_ends_with($upper, ' ') ? '' : ' ';

        return $upper . $glue . $lower;
    }

    private function joinedNotes(Note $upper, Note $lower): EditNote
    {
        $put = array_values(array_diff_key($lower->blocks, $upper->blocks));

        return new EditNote($this->upper, $put, [], [...array_keys($upper->blocks), ...array_keys($lower->blocks)]);
    }

    public function needsNotes(): array
    {
        return [$this->upper, $this->lower];
    }

    public function toArray(): array
    {
        return ['type' => 'join', 'upper' => $this->upper, 'lower' => $this->lower];
    }
}
