<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\NotesMissing;
use Embrel\Plan\Plan;
use Embrel\RichText\InvalidNote;
use Embrel\RichText\Merging;
use Embrel\RichText\Node;
use Embrel\RichText\Note;

/**
 * Changes a note block by block, so that two writers meet only where they changed the same block.
 * `base` holds the blocks as the writer last saw them: where one differs from that by now, someone
 * else has written in it, and the words of both are joined. `was` tells the same by fingerprints
 * alone, and there the edit is refused: nobody may write over what was never seen.
 */
final readonly class EditNote extends Basic
{
    /**
     * @param list<Node>                 $put    blocks that are new or changed
     * @param list<string>               $remove ids of blocks
     * @param list<string>|null          $order  all block ids in order as the writer sees them; null: as it is
     * @param array<string, string|null> $was    block id → fingerprint as last seen, null where it was not there
     * @param array<string, Node>        $base   block id → the block as last seen
     */
    public function __construct(
        public string $topic,
        public array $put = [],
        public array $remove = [],
        public ?array $order = null,
        public array $was = [],
        public array $base = [],
    ) {}

    /** A short fingerprint of a block's stored form, null for no block. */
    public static function fingerprint(?Node $block): ?string
    {
        return $block === null
            ? null
            : substr(
                hash('xxh128', json_encode($block->toArray(), JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)),
                0,
                12,
            );
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
            $id = (string) $block->id();
            $joined = $this->joined($id, $blocks[$id] ?? null, $block);
            if ($joined !== null) {
                $blocks[$id] = $joined;
            }
        }
        foreach ($this->remove as $id) {
            $rest = isset($this->base[$id], $blocks[$id]) ? Merging::rest($this->base[$id], $blocks[$id]) : null;
            if ($rest === null) {
                unset($blocks[$id]);
            } else {
                $blocks[$id] = $rest;
            }
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
     * A block with what others have written in it since; of one that they have taken out, only what is new: the rest
     * stands where they put it.
     */
    private function joined(string $id, ?Node $now, Node $mine): ?Node
    {
        $base = $this->base[$id] ?? null;

        return match (true) {
            $base === null => $mine,
            $now === null => Merging::rest($base, $mine),
            default => Merging::of($base, $now, $mine),
        };
    }

    /** Whether someone else has changed a block that this changes, so that what comes of it is not what its writer sees. */
    public function meets(Plan $plan): bool
    {
        $blocks = ($plan->topic($this->topic)->note ?? Note::empty())->blocks;
        foreach ($this->base as $id => $block) {
            if (($blocks[$id] ?? null)?->toArray() !== $block->toArray()) {
                return true;
            }
        }

        return false;
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

    public function needsNotes(): array
    {
        return [$this->topic];
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
        ]
            + ($this->base === []
                ? []
                : ['base' => array_map(static fn(Node $block): array => $block->toArray(), array_values($this->base))]);
    }
}
