<?php

declare(strict_types=1);

namespace Embrel\Plan;

use Embrel\Citation\Source;

/**
 * A plan at one moment: topics by id, the ordered parts of each, and the parent of each beside
 * it. Immutable; Edit makes the next one. Three topics are fixed and in every plan: the root (its
 * title and note are the plan's), the tray (what is under it is loose) and the bin (what is under
 * it was removed, as far as an operation asked for it).
 */
final class Plan
{
    public const ROOT = '00000000000000000000000000';
    public const TRAY = '00000000000000000000000001';
    public const BIN = '00000000000000000000000002';

    /** @var list<string>|null see order() */
    private ?array $order = null;

    /**
     * @param array<string, Topic>        $topics
     * @param array<string, list<string>> $parts   parent → parts in order; a topic without parts may be missing
     * @param array<string, string>       $parents topic → parent; the fixed topics have none
     * @param array<string, string>       $foreign properties of a foreign file that we do not know, kept
     * @param array<string, Source>       $sources by id, in the order in which they came
     * @param array<string, Relation>     $relations by id
     */
    public function __construct(
        public readonly array $topics,
        public readonly array $parts,
        public readonly array $parents,
        public readonly Properties $properties,
        public readonly array $foreign = [],
        public readonly array $sources = [],
        public readonly array $relations = [],
    ) {}

    public static function titled(string $title, ?Properties $properties = null): self
    {
        return new self(
            [self::ROOT => new Topic(self::ROOT, $title), self::TRAY => new Topic(self::TRAY), self::BIN => new Topic(self::BIN)],
            [],
            [],
            $properties ?? new Properties(),
        );
    }

    public static function isFixed(string $id): bool
    {
        return $id === self::ROOT || $id === self::TRAY || $id === self::BIN;
    }

    public function title(): string
    {
        return $this->topics[self::ROOT]->title;
    }

    /** @throws NoSuchTopic */
    public function topic(string $id): Topic
    {
        return $this->topics[$id] ?? throw NoSuchTopic::called($id);
    }

    public function has(string $id): bool
    {
        return isset($this->topics[$id]);
    }

    /** Whether the topic is in the tree or the tray: known, and not removed. */
    public function isLive(string $id): bool
    {
        return isset($this->topics[$id]) && $this->home($id) !== self::BIN;
    }

    /** The fixed topic above everything that the topic is under; itself for a fixed one. */
    public function home(string $id): string
    {
        while (isset($this->parents[$id])) {
            $id = $this->parents[$id];
        }

        return $id;
    }

    public function parent(string $id): ?string
    {
        return $this->parents[$id] ?? null;
    }

    /** @return list<string> in order */
    public function parts(string $id): array
    {
        return $this->parts[$id] ?? [];
    }

    /** How deep a topic stands: 0 for a fixed one, 1 for a main section. */
    public function level(string $id): int
    {
        for ($level = 0; isset($this->parents[$id]); ++$level) {
            $id = $this->parents[$id];
        }

        return $level;
    }

    public function isWithin(string $id, string $ancestor): bool
    {
        while ($id !== $ancestor && isset($this->parents[$id])) {
            $id = $this->parents[$id];
        }

        return $id === $ancestor;
    }

    /** How many levels a branch has, the topic itself being one. */
    public function height(string $id): int
    {
        $height = 0;
        foreach ($this->walk($id) as $level) {
            $height = max($height, $level);
        }

        return $height + 1;
    }

    /**
     * Everything under a topic, in reading order, without itself. Iterative: any depth.
     *
     * @return \Generator<string, int> id → level below the start, from 1
     */
    public function walk(string $start = self::ROOT): \Generator
    {
        $stack = [[$this->parts($start), 0]];
        while ($stack !== []) {
            $top = \count($stack) - 1;
            [$parts, $at] = $stack[$top];
            if (!isset($parts[$at])) {
                array_pop($stack);

                continue;
            }
            $stack[$top][1] = $at + 1;
            yield $parts[$at] => $top + 1;
            if (isset($this->parts[$parts[$at]])) {
                $stack[] = [$this->parts[$parts[$at]], 0];
            }
        }
    }

    /**
     * Every topic of the tree in reading order, the root first. Worked out once for a plan: numbers
     * and words are asked for again and again.
     *
     * @return list<string>
     */
    public function order(): array
    {
        if ($this->order === null) {
            $this->order = [];
            $stack = [self::ROOT];
            while ($stack !== []) {
                $this->order[] = $id = array_pop($stack);
                if (isset($this->parts[$id])) {
                    array_push($stack, ...array_reverse($this->parts[$id]));
                }
            }
        }

        return $this->order;
    }

    /** @return list<string> every topic of the tree and of the tray, without the fixed ones, in reading order */
    public function standing(): array
    {
        return [...\array_slice($this->order(), 1), ...\array_slice($this->branch(self::TRAY), 1)];
    }

    /** @return list<string> the topic and everything under it, in reading order */
    public function branch(string $id): array
    {
        $ids = [$id];
        foreach ($this->walk($id) as $under => $_) {
            $ids[] = $under;
        }

        return $ids;
    }

    public function with(Topic $topic): self
    {
        if (($this->topics[$topic->id] ?? null) === $topic) {
            return $this;
        }

        $topics = $this->topics;
        $topics[$topic->id] = $topic;

        return new self($topics, $this->parts, $this->parents, $this->properties, $this->foreign, $this->sources, $this->relations);
    }

    public function withProperties(Properties $properties): self
    {
        return new self($this->topics, $this->parts, $this->parents, $properties, $this->foreign, $this->sources, $this->relations);
    }

    /** @param array<string, string> $foreign */
    public function withForeign(array $foreign): self
    {
        return new self($this->topics, $this->parts, $this->parents, $this->properties, $foreign, $this->sources, $this->relations);
    }

    /** @param array<string, Source> $sources */
    public function withSources(array $sources): self
    {
        return new self($this->topics, $this->parts, $this->parents, $this->properties, $this->foreign, $sources, $this->relations);
    }

    /** @param array<string, Relation> $relations */
    public function withRelations(array $relations): self
    {
        return new self($this->topics, $this->parts, $this->parents, $this->properties, $this->foreign, $this->sources, $relations);
    }
}
