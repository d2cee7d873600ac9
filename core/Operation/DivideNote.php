<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Id\Ulid;
use Embrel\Limits;
use Embrel\Plan\Kind;
use Embrel\Plan\NotesMissing;
use Embrel\Plan\Place;
use Embrel\Plan\Plan;
use Embrel\Plan\Topic;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;

/**
 * Makes topics out of a note, at its headings or out of its list items. They stand before the parts
 * that the topic has; what stands before the first of them stays in the note.
 */
final readonly class DivideNote extends Composed
{
    public const AT_HEADINGS = 'headings';
    public const AT_ITEMS = 'items';

    /**
     * @param string $at   one of the constants
     * @param string $seed a ULID out of which the ids of the new topics and blocks are derived
     */
    public function __construct(public string $topic, public string $at, public string $seed) {}

    protected function inTerms(Plan $plan): Compound
    {
        $topic = self::live($plan, $this->topic);
        if ($topic->noted && $topic->note === null) {
            throw new NotesMissing([$this->topic]);
        }
        $blocks = array_values(($topic->note ?? Note::empty())->blocks);
        [$stays, $made] = $this->at === self::AT_HEADINGS ? self::atHeadings($blocks) : self::atItems($blocks);
        if ($made === []) {
            throw OperationRefused::value(
                new \DomainException($this->at === self::AT_HEADINGS ? 'The note has no headings.' : 'The note has no list.'),
            );
        }
        $ids = array_map(static fn(Node $block): string => (string) $block->id(), $stays);
        $gone = array_values(array_diff(array_map(strval(...), array_keys(($topic->note ?? Note::empty())->blocks)), $ids));

        return new Compound([
            new EditNote($this->topic, [], $gone, $ids),
            new AddTopics(new Place($this->topic, null), $this->rows($made)),
        ]);
    }

    /**
     * @param list<array{level: int, title: string, blocks: list<Node>}> $made in reading order, level from 1
     *
     * @return list<array{topic: Topic, parent: string|null}>
     */
    private function rows(array $made): array
    {
        $rows = $open = [];
        foreach ($made as $n => ['level' => $level, 'title' => $title, 'blocks' => $blocks]) {
            $id = Ulid::derived("{$this->seed}:{$n}");
            while ($open !== [] && end($open)[0] >= $level) {
                array_pop($open);
            }
            $topic = new Topic($id, $title, $this->at === self::AT_HEADINGS ? Kind::Section : Kind::Point);
            $note = [];
            foreach ($blocks as $i => $block) {
                $note[] = $block->id() === null ? $block->withId(Ulid::derived("{$this->seed}:{$n}:{$i}")) : $block;
            }
            $rows[] = [
                'topic' => $note === [] ? $topic : $topic->withNote(Note::of($note)),
                'parent' => $open === [] ? null : end($open)[1],
            ];
            $open[] = [$level, $id];
        }

        return $rows;
    }

    /**
     * @param list<Node> $blocks
     *
     * @return array{list<Node>, list<array{level: int, title: string, blocks: list<Node>}>}
     */
    private static function atHeadings(array $blocks): array
    {
        $stays = $made = [];
        foreach ($blocks as $block) {
            if ($block->type === NodeType::Heading) {
                $made[] = self::named($block, $block->int('level', 1));
            } elseif ($made === []) {
                $stays[] = $block;
            } else {
                $last = array_pop($made);
                $made[] = ['level' => $last['level'], 'title' => $last['title'], 'blocks' => [...$last['blocks'], $block]];
            }
        }

        return [$stays, $made];
    }

    /**
     * @param list<Node> $blocks
     *
     * @return array{list<Node>, list<array{level: int, title: string, blocks: list<Node>}>}
     */
    private static function atItems(array $blocks): array
    {
        $stays = $made = [];
        foreach ($blocks as $block) {
            if (self::isList($block)) {
                array_push($made, ...self::items($block, 1));
            } else {
                $stays[] = $block;
            }
        }

        return [$stays, $made];
    }

    private static function isList(Node $node): bool
    {
        return $node->type->isList();
    }

    /** @return list<array{level: int, title: string, blocks: list<Node>}> */
    private static function items(Node $list, int $level): array
    {
        $made = [];
        foreach ($list->content as $item) {
            $first = $item->content[0] ?? Node::paragraph([]);
            $isNamed = $first->type === NodeType::Paragraph;
            $one = $isNamed ? self::named($first, $level) : ['level' => $level, 'title' => '', 'blocks' => []];
            $under = [];
            foreach (\array_slice($item->content, $isNamed ? 1 : 0) as $block) {
                if (self::isList($block)) {
                    array_push($under, ...self::items($block, $level + 1));
                } else {
                    $one['blocks'][] = $block;
                }
            }
            array_push($made, $one, ...$under);
        }

        return $made;
    }

    /**
     * The words as a title. What no title can hold (a link, a citation, a footnote, words over its limit) stays as
     * the first paragraph of the note.
     *
     * @return array{level: int, title: string, blocks: list<Node>}
     */
    private static function named(Node $line, int $level): array
    {
        $text = Topic::title(mb_substr($line->plainText(), 0, Limits::TITLE));
        $holdsMore
            = mb_strlen($line->plainText()) > Limits::TITLE
            || array_filter(
                $line->content,
                static fn(Node $inline): bool => !\in_array(
                    $inline->type,
                    [NodeType::Text, NodeType::HardBreak],
                    true,
                ) || $inline->link() !== null,
            ) !== [];

        return ['level' => $level, 'title' => $text, 'blocks' => $holdsMore ? [Node::paragraph($line->content)] : []];
    }

    public function needsNotes(): array
    {
        return [$this->topic];
    }

    public function toArray(): array
    {
        return ['type' => 'divide', 'topic' => $this->topic, 'at' => $this->at, 'seed' => $this->seed];
    }
}
