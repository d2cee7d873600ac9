<?php

declare(strict_types=1);

namespace Embrel\Difference;

use Embrel\Citation\Source;
use Embrel\Citation\SourceForm;
use Embrel\Limits;
use Embrel\MalformedShape;
use Embrel\Plan\InvalidValue;
use Embrel\Plan\NotesMissing;
use Embrel\Plan\Plan;
use Embrel\Plan\PlanForm;
use Embrel\Plan\Relation;
use Embrel\Plan\Topic;
use Embrel\Plan\TopicForm;
use Embrel\RichText\InvalidNote;
use Embrel\RichText\Note;
use Embrel\RichText\Schema;
use Embrel\Shape;

/** One difference on its way into one state of a plan. */
final class Applying
{
    /** @var array<string, Topic> */
    private array $topics;
    /** @var array<string, list<string>> */
    private array $parts;
    /** @var array<string, string> */
    private array $parents;

    /** @param array<string, true> $placed see Difference::in() */
    public function __construct(private readonly Plan $plan, private readonly Difference $difference, private readonly array $placed)
    {
        $this->topics = $plan->topics;
        $this->parts = $plan->parts;
        $this->parents = $plan->parents;
    }

    /**
     * @throws Conflict
     * @throws NotesMissing
     */
    public function done(): Plan
    {
        try {
            foreach ($this->difference->topics as $id => $change) {
                $this->change((string) $id, $change);
            }
            $this->check($this->place());
            $sources = $this->set($this->plan->sources, $this->difference->sources, static fn(array $form): Source => SourceForm::read(
                new Shape($form, 'source'),
            ));
            $relations = $this->set(
                $this->plan->relations,
                $this->difference->relations,
                fn(array $form, bool $isNew): Relation => $this->tied(PlanForm::relation(new Shape($form, 'relation')), $isNew),
            );
            $properties = $this->plan->properties->withThings(
                array_map(static fn(array $pair): mixed => $pair[1], $this->difference->properties),
            );
        } catch (InvalidValue|MalformedShape|InvalidNote $why) {
            throw new Conflict($why->getMessage(), previous: $why);
        }

        return new Plan($this->topics, $this->parts, $this->parents, $properties, $this->plan->foreign, $sources, $relations);
    }

    /** What is not its place. One that goes is kept as it is: it may come back. */
    private function change(string $id, TopicChange $change): void
    {
        if ($change->birth < 0) {
            return;
        }
        $topic = $this->topics[$id] ?? ($change->birth > 0 ? new Topic($id) : throw self::gone());
        if ($change->fields !== []) {
            $form = TopicForm::toArray($topic->with(['note' => null]));
            foreach ($change->fields as $name => [, $is]) {
                $form[$name] = $is;
            }
            $fresh = TopicForm::topic(new Shape($form, 'topic'));
            $topic = $fresh->with(['note' => $topic->note, 'noted' => $topic->noted, 'words' => $topic->words]);
        }
        $this->topics[$id] = $change->blocks === [] && $change->order === [] ? $topic : $topic->withNote($this->note($topic, $change));
    }

    private function note(Topic $topic, TopicChange $change): Note
    {
        if ($topic->noted && $topic->note === null) {
            throw new NotesMissing([$topic->id]);
        }
        $blocks = $topic->note->blocks ?? [];
        $row = array_map(strval(...), array_keys($blocks));
        foreach ($change->blocks as $id => [, $is]) {
            if ($is === null) {
                unset($blocks[$id]);
            } else {
                $blocks[$id] = Schema::block($is);
            }
        }
        foreach ($change->order as $order) {
            $row = $order->in($row);
        }
        $note = Note::of(array_values(self::ordered($blocks, $row)));
        $note->toJson();

        return $note;
    }

    /**
     * In the order of a row; what it does not name comes last.
     *
     * @template T
     *
     * @param array<string, T> $things
     * @param list<string>     $row
     *
     * @return array<string, T>
     */
    private static function ordered(array $things, array $row): array
    {
        $out = [];
        foreach ($row as $id) {
            if (isset($things[$id])) {
                $out[$id] = $things[$id];
            }
        }

        return $out + $things;
    }

    /** @return list<string> topics that stand under another parent than before, or under one at all */
    private function place(): array
    {
        $rows = [];
        $went = [];
        foreach ($this->difference->parts as $parent => $changes) {
            // What goes takes along what is in it.
            if (($this->difference->topics[$parent]->birth ?? 0) < 0) {
                continue;
            }
            $row = $this->parts[$parent] ?? [];
            foreach ($changes as $change) {
                $row = $change->in($row, $this->placed);
            }
            $went += array_fill_keys(array_diff($this->parts[$parent] ?? [], $row), true);
            $rows[(string) $parent] = $row;
        }
        $came = [];
        foreach ($rows as $parent => $row) {
            foreach ($row as $id) {
                if (($this->parents[$id] ?? null) !== $parent) {
                    isset($this->topics[$id]) ? ($came[$id] = $parent) : throw self::gone();
                }
            }
        }
        foreach ($came as $id => $parent) {
            $from = $this->parents[$id] ?? null;
            if ($from !== null && !isset($rows[$from])) {
                $this->parts[$from] = array_values(array_diff($this->parts[$from] ?? [], [$id]));
            }
            $this->parents[$id] = $parent;
        }
        foreach ($rows as $parent => $row) {
            $this->parts[$parent] = $row;
        }
        foreach (array_diff_key($went, $came) as $id => $_) {
            $this->parts[Plan::BIN][] = $id;
            $this->parents[$id] = Plan::BIN;
        }
        $this->parts = array_filter($this->parts, static fn(array $row): bool => $row !== []);

        return array_map(strval(...), array_keys($came));
    }

    /**
     * That all of it hangs together, and is no larger than a plan may be.
     *
     * @param list<string> $came
     */
    private function check(array $came): void
    {
        if (\count($this->topics) > Limits::TOPICS + 3 && $came !== []) {
            throw new Conflict('A plan holds at most ' . number_format(Limits::TOPICS) . ' topics.');
        }
        $state = new Plan($this->topics, $this->parts, $this->parents, $this->plan->properties);
        foreach ($this->difference->topics as $id => $change) {
            // Nothing is written on what somebody has removed.
            if ($change->birth === 0 && !$this->plan->isLive((string) $id) && !$state->isLive((string) $id)) {
                throw self::gone();
            }
        }
        foreach ($came as $id) {
            $level = 0;
            $head = $id;
            for ($at = $id; isset($this->parents[$at]); $at = $this->parents[$at]) {
                $head = $at;
                if (++$level > Limits::LEVELS || ($level > 1 && $at === $id)) {
                    throw new Conflict('What it stood under stands under it by now, or too deep.');
                }
            }
            if (!Plan::isFixed($at) && !isset($this->topics[$at])) {
                // What it stands under is so long gone that it was not even read.
                throw self::gone();
            }
            if ($at === Plan::BIN) {
                // It may go along with what goes; it may not come to what has gone before.
                if ($this->plan->parent($head) === Plan::BIN) {
                    throw self::gone();
                }
            } elseif ($level - 1 + $state->height($id) > Limits::LEVELS) {
                throw new Conflict('A plan holds at most ' . Limits::LEVELS . ' levels.');
            }
        }
    }

    private function tied(Relation $relation, bool $isNew): Relation
    {
        return !$isNew || isset($this->topics[$relation->from], $this->topics[$relation->to]) ? $relation : throw self::gone();
    }

    /**
     * @template T
     *
     * @param array<string, T>                                                           $things
     * @param array<string, array{array<string, mixed>|null, array<string, mixed>|null}> $changes
     * @param \Closure(array<string, mixed>, bool): T                                    $read also gets whether it is new
     *
     * @return array<string, T>
     */
    private function set(array $things, array $changes, \Closure $read): array
    {
        foreach ($changes as $id => [, $is]) {
            if ($is === null) {
                unset($things[$id]);
            } else {
                $things[$id] = $read($is, !isset($things[$id]));
            }
        }

        return $things;
    }

    private static function gone(): Conflict
    {
        return new Conflict('What it needs is no longer in this plan; it may have been removed.');
    }
}
