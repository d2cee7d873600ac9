<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Id\Ulid;
use Embrel\Plan\Place;
use Embrel\Plan\Plan;
use Embrel\Plan\Topic;
use Embrel\RichText\Node;
use Embrel\RichText\Note;

/** Copies whole branches, with their notes, to a place in the same plan. */
final readonly class CopyTopics extends Composed
{
    /** @param array<string, string> $new topic → the id of its copy, of all topics of the branches, in reading order */
    public function __construct(public array $new, public Place $place) {}

    protected function inTerms(Plan $plan): Compound
    {
        $rows = [];
        foreach ($this->new as $id => $copy) {
            $rows[] = ['topic' => self::copied(self::movable($plan, $id), $copy), 'parent' => $this->new[(string) $plan->parent($id)] ?? null];
        }

        return new Compound([new AddTopics($this->place, $rows)]);
    }

    /** The topic under another id; its blocks get ids of their own too, always the same ones. */
    public static function copied(Topic $topic, string $id): Topic
    {
        $note = $topic->note === null ? null : Note::of(array_map(static fn(Node $block): Node => $block->withId(Ulid::derived($id . $block->id())), $topic->note->blocks));

        return $topic->with(['id' => $id, 'note' => $note]);
    }

    public function needsNotes(): array
    {
        return array_keys($this->new);
    }

    public function touches(): array
    {
        return array_map(static fn(string $id): string => "{$id}:place", array_values($this->new));
    }

    public function toArray(): array
    {
        return ['type' => 'copy', 'at' => $this->place->toArray(), 'new' => $this->new];
    }
}
