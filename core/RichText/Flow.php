<?php

declare(strict_types=1);

namespace Embrel\RichText;

/** The inlines of a paragraph as they are read, run by run: equal neighbours join, pictures stand between. */
final class Flow
{
    private string $run = '';
    /** @var list<Mark> of the run */
    private array $marks = [];
    /** @var list<Node> */
    private array $nodes = [];

    /** @param list<Mark> $marks a kind that comes twice counts once */
    public function text(string $text, array $marks = []): void
    {
        if ($text === '') {
            return;
        }
        // Value by value: the same marks are mostly the same objects.
        if ($this->run !== '' && $marks != $this->marks) {
            $this->end();
        }
        $this->run .= $text;
        $this->marks = $marks;
    }

    public function put(Node $node): void
    {
        $this->end();
        $this->nodes[] = $node;
    }

    public function break(): void
    {
        $this->put(new Node(NodeType::HardBreak));
    }

    private function end(): void
    {
        $text = Text::cleaned($this->run);
        if ($text !== '') {
            $this->nodes[] = Node::text($text, $this->marks);
        }
        $this->run = '';
    }

    /** What was read, so far as text goes. */
    public function plainText(): string
    {
        $this->end();
        $text = '';
        foreach ($this->nodes as $node) {
            $text .= $node->type === NodeType::Picture ? '' : $node->plainText();
        }

        return $text;
    }

    public function isEmpty(): bool
    {
        return $this->run === '' && $this->nodes === [];
    }

    /** @return list<Node> inlines and pictures, in order; without white space at the ends, which no writer means */
    public function nodes(): array
    {
        $this->end();
        $nodes = self::ended($this->nodes);
        while ($nodes !== [] && $nodes[0]->isText()) {
            $first = array_shift($nodes);
            $text = ltrim($first->text);
            if ($text !== '') {
                return [Node::text($text, $first->marks), ...$nodes];
            }
        }

        return $nodes;
    }

    /**
     * @param list<Node> $nodes
     *
     * @return list<Node> without white space at the end
     */
    public static function ended(array $nodes): array
    {
        while ($nodes !== [] && end($nodes)->isText()) {
            $last = array_pop($nodes);
            $text = rtrim($last->text);
            if ($text !== '') {
                return [...$nodes, Node::text($text, $last->marks)];
            }
        }

        return $nodes;
    }

    /** @return list<Node> paragraphs, and the pictures that stood among their words as blocks between them */
    public function blocks(): array
    {
        return self::divided($this->nodes());
    }

    /**
     * @param list<Node> $nodes inlines, with pictures among them
     *
     * @return list<Node>
     */
    public static function divided(array $nodes): array
    {
        $blocks = $run = [];
        foreach ([...$nodes, null] as $node) {
            if ($node !== null && $node->type !== NodeType::Picture) {
                $run[] = $node;
                continue;
            }
            if (self::says($run)) {
                $blocks[] = Node::paragraph($run);
            }
            $run = [];
            if ($node !== null) {
                $blocks[] = $node;
            }
        }

        return $blocks;
    }

    /** @param list<Node> $nodes */
    private static function says(array $nodes): bool
    {
        foreach ($nodes as $node) {
            if (($node->isText() && trim($node->text) !== '') || !\in_array($node->type, [NodeType::Text, NodeType::HardBreak], true)) {
                return true;
            }
        }

        return false;
    }
}
