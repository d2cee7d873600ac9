<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\Plan;
use Embrel\RichText\InvalidNote;
use Embrel\RichText\Node;
use Embrel\RichText\Note;

/**
 * Changes a note block by block, so that two writers meet only where they changed the same block.
 * `was` tells what the writer saw: a block that differs from that by now was changed by someone
 * else, and the edit is refused.
 */
final readonly class EditNote extends Basic
{
    /**
     * @param list<Node>                 $put    blocks that are new or changed
     * @param list<string>               $remove ids of blocks
     * @param list<string>|null          $order  all block ids in order as the writer sees them; null: as it is
     * @param array<string, string|null> $was    block id → fingerprint as last seen, null where it was not there
     */
    public function __construct(
        public string $topic,
        public array $put = [],
        public array $remove = [],
        public ?array $order = null,
        public array $was = [],
    ) {}

    /** A short fingerprint of a block's stored form, null for no block. */
    public static function fingerprint(?Node $block): ?string
    {
        return $block === null ? null : substr(hash('xxh128', json_encode($block->toArray(), JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)), 0, 12);
    }

    public function apply(Plan $plan): Plan
    {
        $topic = self::live($plan, $this->topic);
        if ($topic->noted && $topic->note === null) {
            throw new NotesMissing([$this->topic]);
        }
        $blocks = ($topic->note ?? Note::empty())->blocks;
        foreach ($this->was as $id => $seen) {
            if (self::fingerprint($blocks[$id] ?? null) !== $seen) {
                throw OperationRefused::changed();
            }
        }
        foreach ($this->put as $block) {
            $blocks[(string) $block->id()] = $block;
        }
        foreach ($this->remove as $id) {
            unset($blocks[$id]);
        }
        try {
            $note = Note::of($this->ordered($blocks));
            $note->toJson();
        } catch (InvalidNote $why) {
            throw OperationRefused::value($why);
        }

        return $plan->with($topic->withNote($note));
    }

    /**
     * In the writer's order; a block that the writer did not know keeps its place behind the one
     * it stood behind.
     *
     * @param array<string, Node> $blocks
     *
     * @return list<Node>
     */
    private function ordered(array $blocks): array
    {
        if ($this->order === null) {
            return array_values($blocks);
        }
        $known = array_intersect_key(array_flip($this->order), $blocks);
        $followers = [];
        $before = '';
        foreach ($blocks as $id => $block) {
            if (isset($known[$id])) {
                $before = $id;
            } else {
                $followers[$before][] = $block;
            }
        }
        $ordered = $followers[''] ?? [];
        foreach ($known as $id => $_) {
            array_push($ordered, $blocks[$id], ...$followers[$id] ?? []);
        }

        return $ordered;
    }

    public function inverse(Plan $before): Operation
    {
        $blocks = ($before->topic($this->topic)->note ?? Note::empty())->blocks;
        $after = ($this->apply($before)->topic($this->topic)->note ?? Note::empty())->blocks;
        $put = [];
        $was = [];
        foreach ($blocks as $id => $block) {
            if (($after[$id] ?? null) !== $block) {
                $put[] = $block;
                $was[$id] = self::fingerprint($after[$id] ?? null);
            }
        }
        $remove = array_keys(array_diff_key($after, $blocks));
        foreach ($remove as $id) {
            $was[$id] = self::fingerprint($after[$id]);
        }

        return new self($this->topic, $put, $remove, array_keys($blocks), $was);
    }

    public function needsNotes(): array
    {
        return [$this->topic];
    }

    public function merge(Operation $next): ?Operation
    {
        if (!$next instanceof self || $next->topic !== $this->topic) {
            return null;
        }
        $put = [];
        foreach ([...$this->put, ...$next->put] as $block) {
            $put[(string) $block->id()] = $block;
        }
        $put = array_diff_key($put, array_flip($next->remove));
        $remove = array_values(array_diff(array_unique([...$this->remove, ...$next->remove]), array_keys($put)));

        return new self($this->topic, array_values($put), $remove, $next->order ?? $this->order, $this->was + array_diff_key($next->was, array_flip($this->blocks())));
    }

    /** @return list<string> */
    private function blocks(): array
    {
        return [...array_map(static fn(Node $block): string => (string) $block->id(), $this->put), ...$this->remove];
    }

    public function touches(): array
    {
        return array_map(fn(string $block): string => "{$this->topic}:note:{$block}", $this->blocks());
    }

    public function toArray(): array
    {
        return [
            'type' => 'note',
            'topic' => $this->topic,
            'put' => array_map(static fn(Node $block): array => $block->toArray(), $this->put),
            'remove' => $this->remove,
            'order' => $this->order,
            'was' => $this->was,
        ];
    }
}
