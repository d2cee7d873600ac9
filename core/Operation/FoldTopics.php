<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Id\Ulid;
use Embrel\Limits;
use Embrel\Plan\NotesMissing;
use Embrel\Plan\Plan;
use Embrel\Plan\Topic;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;

/**
 * Takes topics with everything under them out of the tree and puts their titles, notes and pictures
 * at the end of a note: of the topic above each, or of one that is named.
 */
final readonly class FoldTopics extends Composed
{
    /**
     * @param list<string>        $ids
     * @param string|null         $into the topic whose note takes them; null: the one above each
     * @param string              $seed a ULID out of which the ids of new blocks are derived
     * @param array<string, Node> $cite topic → the citation that is put behind its quotation
     */
    public function __construct(public array $ids, public ?string $into, public FoldAs $as, public string $seed, public array $cite = []) {}

    protected function inTerms(Plan $plan): Compound
    {
        $heads = Order::of($plan, self::heads($plan, $this->ids));
        $targets = [];
        foreach ($heads as $head) {
            $target = $this->into ?? (string) $plan->parent($head);
            self::live($plan, $target);
            if ($target === Plan::TRAY) {
                throw OperationRefused::value(
                    new \DomainException('A loose idea stands under no topic whose note could take it. Choose a topic.'),
                );
            }
            if ($plan->isWithin($target, $head)) {
                throw OperationRefused::intoItself();
            }
            $targets[$target][] = $head;
        }
        $this->requireNotes($plan, [
            ...array_map(strval(...), array_keys($targets)),
            ...array_merge(...array_map($plan->branch(...), $heads)),
        ]);
        $steps = [];
        foreach ($targets as $target => $folded) {
            $steps[] = $this->into($plan, (string) $target, $folded);
        }

        return new Compound([...$steps, new RemoveTopics($heads)]);
    }

    /** @param list<string> $topics */
    private function requireNotes(Plan $plan, array $topics): void
    {
        $missing = array_values(
            array_filter($topics, static fn(string $id): bool => $plan->topic($id)->noted && $plan->topic($id)->note === null),
        );
        $missing === [] || throw new NotesMissing($missing);
    }

    /** @param list<string> $heads */
    private function into(Plan $plan, string $target, array $heads): EditNote
    {
        $there = ($plan->topic($target)->note ?? Note::empty())->blocks;
        // An empty paragraph that waits for words does not stay above what comes.
        $last = end($there);
        $remove = $last !== false && $last->type === NodeType::Paragraph && $last->content === [] ? [(string) array_key_last($there)] : [];
        $put = [];
        foreach ($this->blocks($plan, $heads) as $i => $block) {
            $id = $block->id();
            $id = $id === null || isset($there[$id]) || isset($put[$id]) ? Ulid::derived("{$this->seed}:{$target}:{$i}") : $id;
            $put[$id] = $block->withId($id);
        }

        return new EditNote($target, array_values($put), $remove, [
            ...array_values(array_diff(array_map(strval(...), array_keys($there)), $remove)),
            ...array_map(strval(...), array_keys($put)),
        ]);
    }

    /**
     * @param list<string> $heads
     *
     * @return list<Node>
     */
    private function blocks(Plan $plan, array $heads): array
    {
        $blocks = $this->made($plan, $heads);
        foreach ($blocks as $block) {
            $block->depth() > Limits::NOTE_DEPTH
                ? throw OperationRefused::value(
                    new \DomainException(
                        'What is in the notes of these topics is nested too deep to stand deeper still. Fold them as paragraphs.',
                    ),
                )
                : null;
        }

        return $blocks;
    }

    /**
     * @param list<string> $heads
     *
     * @return list<Node>
     */
    private function made(Plan $plan, array $heads): array
    {
        if ($this->as === FoldAs::BulletList) {
            return [new Node(NodeType::BulletList, content: array_map(fn(string $head): Node => $this->item($plan, $head, 1), $heads))];
        }
        $blocks = [];
        foreach ($heads as $head) {
            $own = array_merge(...array_map(fn(string $id): array => self::ofTopic($plan->topic($id)), $plan->branch($head)));
            $own = $own === [] ? [Node::paragraph([])] : $own;
            array_push(
                $blocks,
                ...$this->as === FoldAs::Quotations
                    ? [new Node(NodeType::Blockquote, content: $this->cited($head, array_map(self::bare(...), $own)))]
                    : $this->cited($head, $own),
            );
        }

        return $blocks;
    }

    /** A list item with what is under the topic as a list within it. */
    private function item(Plan $plan, string $id, int $depth): Node
    {
        if (2 * $depth >= Limits::NOTE_DEPTH - 6) {
            throw OperationRefused::value(
                new \DomainException('The topics are nested deeper than a list in a note can be. Fold them as paragraphs.'),
            );
        }
        $content = $this->cited($id, array_map(self::bare(...), self::ofTopic($plan->topic($id))));
        $parts = array_map(fn(string $part): Node => $this->item($plan, $part, $depth + 1), $plan->parts($id));
        if ($parts !== []) {
            $content[] = new Node(NodeType::BulletList, content: $parts);
        }

        return new Node(NodeType::ListItem, content: $content === [] ? [Node::paragraph([])] : $content);
    }

    /** @return list<Node> its title, its picture, its note */
    private static function ofTopic(Topic $topic): array
    {
        return [
            ...$topic->title === '' ? [] : [Node::plain($topic->title)],
            ...$topic->picture === null
                ? []
                : [new Node(
                    NodeType::Picture,
                    ['picture' => $topic->picture->id, 'width' => $topic->picture->shown, 'alt' => $topic->title],
                )],
            ...$topic->note === null || $topic->note->isEmpty() ? [] : array_values($topic->note->blocks),
        ];
    }

    /** Blocks within others have no id, and ask nothing. */
    private static function bare(Node $block): Node
    {
        $type = $block->type === NodeType::Question ? NodeType::Paragraph : $block->type;

        return new Node($type, array_diff_key($block->attrs, ['id' => 1]), $block->content, $block->text, $block->marks);
    }

    /**
     * With the citation behind the words of the last paragraph.
     *
     * @param list<Node> $blocks
     *
     * @return list<Node>
     */
    private function cited(string $topic, array $blocks): array
    {
        $citation = $this->cite[$topic] ?? null;
        if ($citation === null) {
            return $blocks;
        }
        $last = array_pop($blocks);
        if ($last === null || $last->type !== NodeType::Paragraph) {
            return [...$blocks, ...$last === null ? [] : [$last], Node::paragraph([$citation])];
        }

        return [...$blocks, new Node(NodeType::Paragraph, $last->attrs, [...$last->content, Node::text(' '), $citation])];
    }

    public function needsNotes(): array
    {
        return [...$this->ids, ...$this->into === null ? [] : [$this->into]];
    }

    public function toArray(): array
    {
        return [
            'type' => 'fold',
            'ids' => $this->ids,
            'into' => $this->into,
            'as' => $this->as->value,
            'seed' => $this->seed,
            'cite' => (object) array_map(static fn(Node $citation): array => $citation->toArray(), $this->cite),
        ];
    }
}
