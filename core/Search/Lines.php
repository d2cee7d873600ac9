<?php

declare(strict_types=1);

namespace Embrel\Search;

use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Schema;

/** The runs of text of a block, as one string each: what is not text stands in them as one sign. */
final class Lines
{
    private const OTHER = "\u{FFFC}";

    /** @return list<string> in reading order */
    public static function of(Node $block): array
    {
        if (self::isLine($block)) {
            return [self::text($block)];
        }

        return array_merge(...array_map(self::of(...), $block->content));
    }

    /**
     * The block with each of its lines passed through a function.
     *
     * @param \Closure(Node, int): Node $change gets the node that holds the line, and which line of the block it is
     */
    public static function map(Node $block, \Closure $change, int &$line = 0): Node
    {
        if (self::isLine($block)) {
            return $change($block, $line++);
        }
        $content = [];
        foreach ($block->content as $node) {
            $content[] = self::map($node, $change, $line);
        }

        return new Node($block->type, $block->attrs, $content, $block->text, $block->marks);
    }

    private static function isLine(Node $node): bool
    {
        return $node->content === [] ? !\in_array(
            $node->type,
            [NodeType::Table, NodeType::TableRow],
            true,
        ) : Schema::isInline($node->content[0]->type);
    }

    public static function text(Node $line): string
    {
        return implode('', array_map(static fn(Node $inline): string => match ($inline->type) {
            NodeType::Text => $inline->text,
            NodeType::HardBreak => "\n",
            default => self::OTHER,
        }, $line->content));
    }
}
