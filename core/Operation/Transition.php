<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Citation\Source;
use Embrel\Citation\SourceForm;
use Embrel\Plan\Ascending;
use Embrel\Plan\Field;
use Embrel\Plan\Place;
use Embrel\Plan\Plan;
use Embrel\Plan\Relation;
use Embrel\Plan\Topic;
use Embrel\RichText\Node;
use Embrel\RichText\Note;

/**
 * The operations that lead from one state of a plan to another, so that going back to a point in
 * the past is a change like any other. Both with all their notes; what was removed is under the
 * bin of the first.
 */
final class Transition
{
    /** @var list<Operation> */
    private array $steps = [];

    private function __construct(private Plan $state, private readonly Plan $to) {}

    public static function between(Plan $from, Plan $to): Compound
    {
        $transition = new self($from, $to);
        $transition->bringBack();
        $transition->place();
        $transition->letGo();
        $transition->fields();
        $transition->notes();
        $transition->rest();

        return new Compound($transition->steps);
    }

    private function step(Operation $operation): void
    {
        $this->state = $operation->apply($this->state);
        $this->steps[] = $operation;
    }

    /** Out of the bin, to the end of the tree for now; what was never there is added. */
    private function bringBack(): void
    {
        $places = $ids = [];
        foreach ($this->state->parts(Plan::BIN) as $head) {
            $branch = $this->state->branch($head);
            if (array_filter($branch, $this->to->isLive(...)) !== []) {
                $places[$head] = Place::lastIn($this->state, Plan::ROOT);
                array_push($ids, ...$branch);
            }
        }
        if ($places !== []) {
            $this->step(new RestoreTopics($places, $ids));
        }
        foreach ($this->to->standing() as $id) {
            if (!$this->state->has($id)) {
                $this->step(AddTopics::one($this->to->topic($id), Place::lastIn($this->state, Plan::ROOT)));
            }
        }
    }

    /** Parents before their parts, so that none is ever moved under itself. */
    private function place(): void
    {
        foreach ([Plan::ROOT, Plan::TRAY, ...$this->to->standing()] as $parent) {
            $stands = array_flip($this->state->parts($parent));
            $stayed = [];
            foreach ($this->to->parts($parent) as $id) {
                $stayed += isset($stands[$id]) ? [$id => $stands[$id]] : [];
            }
            $kept = Ascending::longest($stayed, static fn(int $a, int $b): int => $a <=> $b);
            $after = null;
            foreach ($this->to->parts($parent) as $id) {
                if (!isset($kept[$id])) {
                    $this->step(new MoveTopics([$id], new Place($parent, $after)));
                }
                $after = $id;
            }
        }
    }

    private function letGo(): void
    {
        $gone = array_values(array_filter($this->state->standing(), fn(string $id): bool => !$this->to->isLive($id)));
        if ($gone !== []) {
            $this->step(new RemoveTopics($gone));
        }
    }

    private function fields(): void
    {
        /** @var array<string, list<string>> $alike what is set → topics */
        $alike = [];
        $like = [];
        foreach ([Plan::ROOT, ...$this->to->standing()] as $id) {
            [$is, $wanted] = [$this->state->topic($id), $this->to->topic($id)];
            if ($is->title !== $wanted->title) {
                $this->step(new Retitle($id, $wanted->title));
            }
            foreach ($id === Plan::ROOT ? [] : Field::cases() as $field) {
                if ($field->isSet() && $field->written($is) !== $field->written($wanted)) {
                    $key = $field->value . json_encode($field->written($wanted), JSON_THROW_ON_ERROR);
                    $alike[$key][] = $id;
                    $like[$key] = [$field, $wanted];
                }
            }
            if ($is->labels !== $wanted->labels) {
                $this->step(new SetLabels([$id], $wanted->labels, array_values(array_diff($is->labels, $wanted->labels))));
            }
        }
        foreach ($alike as $key => $ids) {
            [$field, $topic] = $like[$key];
            $this->step(SetField::from($field, $ids, $topic));
        }
    }

    private function notes(): void
    {
        foreach ([Plan::ROOT, ...$this->to->standing()] as $id) {
            $is = self::blocks($this->state->topic($id));
            $wanted = self::blocks($this->to->topic($id));
            $put = array_filter(
                $wanted,
                static fn(Node $block, string $key): bool => !isset($is[$key]) || $is[$key]->toArray() !== $block->toArray(),
                ARRAY_FILTER_USE_BOTH,
            );
            if ($put !== [] || array_keys($is) !== array_keys($wanted)) {
                $this->step(new EditNote($id, array_values($put), array_keys(array_diff_key($is, $wanted)), array_keys($wanted)));
            }
        }
    }

    private function rest(): void
    {
        $set = [];
        foreach ($this->to->properties->toArray() as $name => $value) {
            if ($value !== $this->state->properties->toArray()[$name]) {
                $set[$name] = $value;
            }
        }
        if ($set !== []) {
            $this->step(new SetPlan($set));
        }
        $gone = array_keys(array_diff_key($this->state->sources, $this->to->sources));
        if ($gone !== []) {
            $this->step(new RemoveSources($gone));
        }
        /** @var list<Source> $back */
        $back = array_values(array_diff_key($this->to->sources, $this->state->sources));
        if ($back !== []) {
            $this->step(new AddSources($back));
        }
        foreach (array_intersect_key($this->to->sources, $this->state->sources) as $id => $wanted) {
            if (SourceForm::toArray($wanted) !== SourceForm::toArray($this->state->sources[$id])) {
                $this->step(new EditSource($wanted));
            }
        }
        $this->relations();
    }

    private function relations(): void
    {
        $gone = array_keys(array_diff_key($this->state->relations, $this->to->relations));
        if ($gone !== []) {
            $this->step(new RemoveRelations($gone));
        }
        $back = array_values(
            array_filter(
                array_diff_key($this->to->relations, $this->state->relations),
                fn(Relation $relation): bool => $this->state->has($relation->from) && $this->state->has($relation->to),
            ),
        );
        if ($back !== []) {
            $this->step(new AddRelations($back));
        }
        foreach (array_intersect_key($this->to->relations, $this->state->relations) as $id => $wanted) {
            $set = array_udiff_assoc(
                $wanted->toArray(),
                $this->state->relations[$id]->toArray(),
                static fn(mixed $a, mixed $b): int => $a === $b ? 0 : 1,
            );
            $set = array_intersect_key($set, array_flip(ChangeRelation::FIELDS));
            if ($set !== []) {
                $this->step(new ChangeRelation((string) $id, $set));
            }
        }
    }

    /** @return array<string, Node> */
    private static function blocks(Topic $topic): array
    {
        return ($topic->note ?? Note::empty())->blocks;
    }
}
