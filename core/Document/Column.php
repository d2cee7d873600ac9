<?php

declare(strict_types=1);

namespace Embrel\Document;

use Embrel\RichText\Flow;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;

/**
 * Blocks as they are read from a document that keeps no tree: list items at their levels become
 * lists, paragraphs of a quotation one quotation, and a caption goes to the picture above it.
 */
final class Column
{
    private const CHECKS = ['☐' => false, '☑' => true, '☒' => true];

    /** @var list<Node> */
    private array $blocks = [];
    /**
     * @var list<array{level: int, list: string, isOrdered: bool, start: int, items: non-empty-list<list<Node>>}> the open lists, outermost first
     */
    private array $lists = [];
    /** @var list<Node> paragraphs of the quotation that is open */
    private array $quoted = [];

    /** @param list<Node> $blocks that follow each other outside lists and quotations */
    public function add(array $blocks): void
    {
        $this->close();
        array_push($this->blocks, ...$blocks);
    }

    /**
     * @param list<Node> $blocks
     * @param bool       $isNew  whether another quotation begins here
     */
    public function quoted(array $blocks, bool $isNew = false): void
    {
        $this->closeLists();
        $isNew ? $this->closeQuotation() : null;
        array_push($this->quoted, ...$blocks);
    }

    /** A line of code, or several: as some programs write each line as a paragraph, neighbours are one block. */
    public function code(string $text, bool $isNew = false): void
    {
        $this->close();
        $last = \count($this->blocks) - 1;
        if (!$isNew && $last >= 0 && $this->blocks[$last]->type === NodeType::CodeBlock) {
            $text = $this->blocks[$last]->plainText() . "\n{$text}";
            array_pop($this->blocks);
        }
        $this->blocks[] = self::codeBlock($text);
    }

    public static function codeBlock(string $text): Node
    {
        $text = rtrim($text, "\n");

        return new Node(NodeType::CodeBlock, [], $text === '' ? [] : [Node::text($text)]);
    }

    /**
     * @param string     $list   what tells lists apart at the same level
     * @param list<Node> $blocks
     */
    public function item(int $level, string $list, bool $isOrdered, int $start, array $blocks): void
    {
        $this->closeQuotation();
        $this->closeLists($level);
        $top = \count($this->lists) - 1;
        if (
            $top >= 0
            && $this->lists[$top]['level'] === $level
            && ($this->lists[$top]['list'] !== $list || $this->lists[$top]['isOrdered'] !== $isOrdered)
        ) {
            $this->closeTop();
            --$top;
        }
        $blocks = $blocks === [] ? [Node::paragraph([])] : $blocks;
        if ($top >= 0 && $this->lists[$top]['level'] === $level) {
            $this->lists[$top]['items'][] = $blocks;
        } else {
            $this->lists[] = ['level' => $level, 'list' => $list, 'isOrdered' => $isOrdered, 'start' => $start, 'items' => [$blocks]];
        }
    }

    /**
     * Goes on within the item of a level that is open.
     *
     * @param list<Node> $blocks
     *
     * @return bool false where no such item is open
     */
    public function continue(int $level, array $blocks): bool
    {
        if ($this->lists === [] || $level < $this->lists[0]['level']) {
            return false;
        }
        $this->closeLists($level);
        $top = \count($this->lists) - 1;
        array_push($this->lists[$top]['items'][\count($this->lists[$top]['items']) - 1], ...$blocks);

        return true;
    }

    /** @return bool whether there was a picture right above it that had none */
    public function caption(string $caption): bool
    {
        $this->close();
        $last = \count($this->blocks) - 1;
        $picture = $this->blocks[$last] ?? null;
        if ($picture === null || $picture->type !== NodeType::Picture || $picture->string('caption') !== null || $caption === '') {
            return false;
        }
        $this->blocks[$last] = new Node(NodeType::Picture, ['caption' => mb_strcut($caption, 0, 8000)] + $picture->attrs);

        return true;
    }

    /** @return list<Node> everything so far; the column is empty again */
    public function take(): array
    {
        $this->close();
        $blocks = $this->blocks;
        $this->blocks = [];

        return $blocks;
    }

    /** Whatever comes next, it is of another list. */
    public function endList(): void
    {
        $this->closeLists();
    }

    private function close(): void
    {
        $this->closeLists();
        $this->closeQuotation();
    }

    private function closeQuotation(): void
    {
        if ($this->quoted !== []) {
            $this->blocks[] = new Node(NodeType::Blockquote, [], $this->quoted);
            $this->quoted = [];
        }
    }

    /** Closes the lists that are deeper than a level. */
    private function closeLists(int $level = -1): void
    {
        while ($this->lists !== [] && $this->lists[\count($this->lists) - 1]['level'] > $level) {
            // What is less deep than the list began is still of that list.
            if (\count($this->lists) === 1 && $level >= 0) {
                $this->lists[0]['level'] = $level;

                return;
            }
            $this->closeTop();
        }
    }

    private function closeTop(): void
    {
        $list = array_pop($this->lists);
        if ($list === null) {
            return;
        }
        $node = self::list($list['items'], $list['isOrdered'], $list['start']);
        $top = \count($this->lists) - 1;
        if ($top < 0) {
            $this->blocks[] = $node;
        } else {
            $this->lists[$top]['items'][\count($this->lists[$top]['items']) - 1][] = $node;
        }
    }

    /**
     * A list; one of which every item begins with a box is a check list.
     *
     * @param list<list<Node>> $items
     */
    public static function list(array $items, bool $isOrdered, int $start = 1): Node
    {
        $checks = [];
        foreach ($isOrdered ? [] : $items as $item) {
            $checked = self::checked($item);
            if ($checked === null) {
                break;
            }
            $checks[] = $checked;
        }
        if ($checks !== [] && \count($checks) === \count($items)) {
            return new Node(NodeType::TaskList, [], $checks);
        }
        $content = array_map(static fn(array $blocks): Node => new Node(NodeType::ListItem, [], $blocks), $items);

        return $isOrdered
            ? new Node(NodeType::OrderedList, $start === 1 ? [] : ['start' => max(0, min(1_000_000, $start))], $content)
            : new Node(NodeType::BulletList, [], $content);
    }

    /** @param list<Node> $blocks of an item */
    private static function checked(array $blocks): ?Node
    {
        $first = $blocks[0] ?? null;
        $run = $first?->type === NodeType::Paragraph ? $first->content[0] ?? null : null;
        $sign = $run?->type === NodeType::Text ? mb_substr($run->text, 0, 1) : '';
        if ($first === null || $run === null || !isset(self::CHECKS[$sign])) {
            return null;
        }
        $flow = new Flow();
        $flow->text(mb_substr($run->text, 1), $run->marks);
        foreach (\array_slice($first->content, 1) as $inline) {
            $inline->isText() ? $flow->text($inline->text, $inline->marks) : $flow->put($inline);
        }

        return new Node(NodeType::TaskItem, self::CHECKS[$sign] ? ['checked' => true] : [], [
            Node::paragraph($flow->nodes()),
            ...\array_slice($blocks, 1),
        ]);
    }
}
