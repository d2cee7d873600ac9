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
        $nodes = $this->nodes;
        foreach ([[0, 'ltrim'], [-1, 'rtrim']] as [$end, $trim]) {
            while ($nodes !== []) {
                $at = $end === 0 ? 0 : \count($nodes) - 1;
                $text = $nodes[$at]->isText() ? $trim($nodes[$at]->text) : '-';
                if ($text !== '') {
                    if ($nodes[$at]->isText()) {
                        $nodes[$at] = Node::text($text, $nodes[$at]->marks);
                    }
                    break;
                }
                $end === 0 ? array_shift($nodes) : array_pop($nodes);
            }
        }

        return array_values($nodes);
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
