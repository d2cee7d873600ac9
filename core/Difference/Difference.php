<?php

declare(strict_types=1);

namespace Embrel\Difference;

use Embrel\Citation\Source;
use Embrel\Citation\SourceForm;
use Embrel\Plan\Comparison;
use Embrel\Plan\Field;
use Embrel\Plan\Plan;
use Embrel\Plan\Relation;
use Embrel\Plan\Topic;
use Embrel\Plan\TopicForm;
use Embrel\RichText\Node;

/**
 * What a change did to a plan: for each thing that differs what it was, and what it became. It is found by comparing two
 * states, whatever has led from one to the other, and is what the log keeps: an old state is one of before with the
 * differences since, and undo is a difference turned round.
 *
 * @phpstan-type Form array<string, mixed>|null
 */
final readonly class Difference
{
    /** Of the storage form. */
    public const VERSION = 1;

    /**
     * @param array<string, TopicChange>            $topics
     * @param array<string, list<Lineup>>           $parts      parent → its parts, one change after the other
     * @param array<string, list<string>>           $branches   head that went to the bin or came from there → all that was removed with it
     * @param array<string, array{Form, Form}>      $sources    id → was, is; null where there was none
     * @param array<string, array{Form, Form}>      $relations  id → was, is
     * @param array<string, array{mixed, mixed}>    $properties of the plan: name → was, is
     */
    public function __construct(
        public array $topics = [],
        public array $parts = [],
        public array $branches = [],
        public array $sources = [],
        public array $relations = [],
        public array $properties = [],
    ) {}

    /**
     * Both with the notes, sources and relations that differ.
     *
     * @param Comparison|null $compared where they have been compared already
     */
    public static function between(Plan $before, Plan $after, ?Comparison $compared = null): self
    {
        $compared ??= Comparison::between($before, $after);
        $topics = [];
        foreach ($compared->changed as $id => $_) {
            $change = self::topic($before->topics[$id] ?? null, $after->topics[$id]);
            if (!$change->isNothing()) {
                $topics[$id] = $change;
            }
        }
        $parts = $branches = [];
        foreach ($compared->regrouped as $parent) {
            $lineup = Lineup::between($before->parts($parent), $after->parts($parent));
            if ($lineup !== null && $parent !== Plan::BIN) {
                $parts[$parent] = [$lineup];
            }
            $removed = $parent === Plan::BIN ? $lineup : null;
            foreach ($removed?->came() ?? [] as $head) {
                $branches[$head] = $after->branch($head);
            }
            foreach ($removed?->went() ?? [] as $head) {
                $branches[$head] = $before->branch($head);
            }
        }

        return new self(
            $topics,
            $parts,
            $branches,
            $before->sources === $after->sources ? [] : self::pairs($before->sources, $after->sources, SourceForm::toArray(...)),
            $before->relations === $after->relations
                ? []
                : self::pairs($before->relations, $after->relations, static fn(Relation $relation): array => $relation->toArray()),
            $before->properties === $after->properties
                ? []
                : self::pairs($before->properties->things(), $after->properties->things(), static fn(mixed $value): mixed => $value),
        );
    }

    private static function topic(?Topic $before, Topic $after): TopicChange
    {
        $bare = new Topic($after->id);
        $form = static fn(Topic $topic): array => array_diff_key(TopicForm::toArray($topic->with(['note' => null])), ['id' => 1]);
        $fields = self::pairs($form($before ?? $bare), $form($after), static fn(mixed $value): mixed => $value);
        if ($before?->note === $after->note) {
            return new TopicChange($before === null ? 1 : 0, $fields);
        }
        $was = $before->note->blocks ?? [];
        $is = $after->note->blocks ?? [];
        $order = Lineup::between(array_map(strval(...), array_keys($was)), array_map(strval(...), array_keys($is)));

        return new TopicChange(
            $before === null ? 1 : 0,
            $fields,
            self::pairs($was, $is, static fn(Node $block): array => $block->toArray()),
            $order === null ? [] : [$order],
        );
    }

    /**
     * @template T
     * @template F
     *
     * @param array<array-key, T> $was
     * @param array<array-key, T> $is
     * @param \Closure(T): F      $form
     *
     * @return array<string, array{F|null, F|null}>
     */
    private static function pairs(array $was, array $is, \Closure $form): array
    {
        $pairs = [];
        foreach ($was + $is as $name => $_) {
            [$old, $new] = [$was[$name] ?? null, $is[$name] ?? null];
            if ($old === $new) {
                continue;
            }
            $pair = [$old === null ? null : $form($old), $new === null ? null : $form($new)];
            if ($pair[0] !== $pair[1]) {
                $pairs[(string) $name] = $pair;
            }
        }

        return $pairs;
    }

    public function reversed(): self
    {
        return new self(
            array_map(static fn(TopicChange $one): TopicChange => $one->reversed(), $this->topics),
            array_map(
                static fn(array $changes): array => array_map(static fn(Lineup $one): Lineup => $one->reversed(), array_reverse($changes)),
                $this->parts,
            ),
            $this->branches,
            TopicChange::turned($this->sources),
            TopicChange::turned($this->relations),
            TopicChange::turned($this->properties),
        );
    }

    /** This and the one that followed it. */
    public function then(self $next): self
    {
        $topics = $this->topics;
        foreach ($next->topics as $id => $change) {
            $topics[$id] = isset($topics[$id]) ? $topics[$id]->then($change) : $change;
        }
        $parts = $this->parts;
        foreach ($next->parts as $parent => $changes) {
            $parts[$parent] = [...$parts[$parent] ?? [], ...$changes];
        }

        return new self(
            array_filter($topics, static fn(TopicChange $one): bool => !$one->isNothing()),
            $parts,
            $next->branches + $this->branches,
            TopicChange::joined($this->sources, $next->sources),
            TopicChange::joined($this->relations, $next->relations),
            TopicChange::joined($this->properties, $next->properties),
        );
    }

    /**
     * A later state of the plan with this change.
     *
     * @param array<string, true> $placed topics that others have put elsewhere since: they stay there
     *
     * @throws Conflict where the plan has become one that cannot have it
     */
    public function in(Plan $plan, array $placed = []): Plan
    {
        return (new Applying($plan, $this, $placed))->done();
    }

    public function isNothing(): bool
    {
        return $this->topics === []
            && $this->parts === []
            && $this->sources === []
            && $this->relations === []
            && $this->properties === [];
    }

    /** Whether every topic stands where it stood, with the number and the words it had: only how some look and are called is new. */
    public function keepsTheTree(): bool
    {
        foreach ($this->topics as $change) {
            $isCounted = $change->birth !== 0 || $change->blocks !== [] || $change->order !== [];
            foreach ($change->fields as $name => $_) {
                $isCounted = $isCounted || Field::tryFrom($name)?->counts() === true;
            }
            if ($isCounted) {
                return false;
            }
        }

        return $this->parts === [] && $this->properties === [];
    }

    /** Its topics and the properties of the plan, without sources and relations. */
    public function ofTheTree(): self
    {
        return new self($this->topics, $this->parts, $this->branches, properties: $this->properties);
    }

    /** @return list<string> topics whose notes it changes */
    public function notes(): array
    {
        return array_map(
            strval(...),
            array_keys(array_filter($this->topics, static fn(TopicChange $one): bool => $one->blocks !== [] || $one->order !== [])),
        );
    }

    /** @return list<string> topics that come from the bin or go there, with all that is or was under them */
    public function removed(): array
    {
        return array_values(array_unique(array_merge(...array_values($this->branches))));
    }

    /** @return list<string> the topics that it changes, puts elsewhere, makes or takes away, and those to which parts came */
    public function topicsTouched(): array
    {
        $ids = array_fill_keys(array_keys($this->topics), true);
        foreach ($this->parts as $changes) {
            foreach ($changes as $change) {
                $ids += array_fill_keys([...$change->came(), ...$change->went(), ...$change->reordered()], true);
            }
        }

        return array_map(strval(...), array_keys($ids));
    }

    /**
     * The things that it changes, each as two changes of the same thing call it: `id.field`, `id.note.block`,
     * `id.place` (under another parent, made or removed), `id.order` (elsewhere among the same siblings), `source.id`,
     * `relation.id`, `plan.property`.
     *
     * @return array<string, true>
     */
    public function things(): array
    {
        $things = [];
        foreach ($this->topics as $id => $change) {
            $things += $change->birth === 0 ? [] : ["$id.place" => true];
            foreach ($change->fields as $name => $_) {
                $things["$id.$name"] = true;
            }
            foreach ($change->blocks as $block => $_) {
                $things["$id.note.$block"] = true;
            }
        }
        // What is under a topic that goes, goes with it.
        foreach ($this->removed() as $id) {
            $things["$id.place"] = true;
        }
        foreach ($this->parts as $changes) {
            foreach ($changes as $change) {
                foreach ([...$change->came(), ...$change->went()] as $id) {
                    $things["$id.place"] = true;
                }
                foreach ($change->reordered() as $id) {
                    $things["$id.order"] = true;
                }
            }
        }
        foreach (['source' => $this->sources, 'relation' => $this->relations, 'plan' => $this->properties] as $kind => $changes) {
            foreach ($changes as $id => $_) {
                $things["$kind.$id"] = true;
            }
        }

        return $things;
    }
}
