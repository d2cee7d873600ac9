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
        foreach ($this->new as $id => $_) {
            self::movable($plan, $id);
        }

        return new Compound([self::added($plan, $this->new, $this->place)]);
    }

    /**
     * The copies as topics to be added, to this plan or another.
     *
     * @param array<string, string> $new as in the constructor
     */
    public static function added(Plan $plan, array $new, Place $place): AddTopics
    {
        $rows = [];
        foreach ($new as $id => $copy) {
            $rows[] = ['topic' => self::copied($plan->topic($id), $copy, $new), 'parent' => $new[(string) $plan->parent($id)] ?? null];
        }

        return new AddTopics($place, $rows);
    }

    /**
     * The topic under another id; its blocks get ids of their own too, always the same ones. What refers to a topic
     * that was copied with it refers to the copy.
     *
     * @param array<string, string> $new
     */
    private static function copied(Topic $topic, string $id, array $new): Topic
    {
        $note
            = $topic->note === null
                ? null
                : Note::of(
                    array_map(
                        static fn(Node $block): Node => $block->withId(Ulid::derived($id . $block->id())),
                        $topic->note->retargeted($new)->blocks,
                    ),
                );

        return $topic->with(['id' => $id, 'note' => $note]);
    }

    public function needsNotes(): array
    {
        return array_keys($this->new);
    }

    public function toArray(): array
    {
        return ['type' => 'copy', 'at' => $this->place->toArray(), 'new' => $this->new];
    }
}
