<?php

declare(strict_types=1);

namespace Embrel\RichText;

/**
 * Joins what two writers made of one block, word by word. What either took out is out; every word
 * that either wrote is kept, once. Where both changed how the block is built (its items, its
 * rows), one of them decides that, and the words of the other follow at its end.
 */
final class Merging
{
    private const TEXT_BLOCKS = [NodeType::Paragraph, NodeType::Heading, NodeType::CodeBlock];

    /** The block with the changes of both since `$base`; its id is that of `$theirs`. */
    public static function of(Node $base, Node $theirs, Node $mine): Node
    {
        [$was, $their, $my] = [$base->toArray(), $theirs->toArray(), $mine->toArray()];
        if ($their === $was) {
            return $mine;
        }
        if ($my === $was) {
            return $theirs;
        }
        $looks = [$mine->type, $mine->attrs] !== [$base->type, $base->attrs] ? $mine : $theirs;
        if (self::isText($base) && self::isText($theirs) && self::isText($mine)) {
            $words = WordByWord::merged(WordByWord::of($base->content), WordByWord::of($theirs->content), WordByWord::of($mine->content));

            return new Node($looks->type, $looks->attrs, WordByWord::inlines($words, $looks->type === NodeType::CodeBlock));
        }
        if ($their === $my) {
            return $mine;
        }
        if (self::areBuiltAlike($base, $theirs, $mine)) {
            return new Node($looks->type, $looks->attrs, array_map(self::of(...), $base->content, $theirs->content, $mine->content));
        }

        return self::isSameBuild($base, $theirs)
            ? self::with($mine, self::added($base, $theirs))
            : self::with($theirs, self::added($base, $mine));
    }

    /** What was written into a block since `$base`, as a paragraph under the block's id; null where that is nothing. */
    public static function rest(Node $base, Node $now): ?Node
    {
        $added = self::added($base, $now);

        return $added === [] ? null : new Node(
            NodeType::Paragraph,
            array_intersect_key($now->attrs, ['id' => true]),
            WordByWord::inlines($added),
        );
    }

    private static function isText(Node $node): bool
    {
        return \in_array($node->type, self::TEXT_BLOCKS, true);
    }

    private static function areBuiltAlike(Node ...$nodes): bool
    {
        [$first] = $nodes;
        foreach ($nodes as $node) {
            if (self::isText($node) || $node->type !== $first->type || \count($node->content) !== \count($first->content)) {
                return false;
            }
        }

        return true;
    }

    /** Whether two blocks differ in nothing but the words in them. */
    private static function isSameBuild(Node $one, Node $other): bool
    {
        if (self::isText($one) || $one->type !== $other->type) {
            return self::isText($one) && self::isText($other);
        }
        foreach ($one->content as $i => $child) {
            if (!isset($other->content[$i]) || !self::isSameBuild($child, $other->content[$i])) {
                return false;
            }
        }

        return \count($one->content) === \count($other->content);
    }

    /** @return list<Word> */
    private static function added(Node $base, Node $now): array
    {
        return WordByWord::added(self::words($base), self::words($now));
    }

    /** @return list<Word> all of a block, those of different paragraphs a space apart */
    private static function words(Node $block): array
    {
        $words = [];
        foreach ($block->all() as $node) {
            if (self::isText($node)) {
                array_push($words, ...$words === [] ? [] : [Word::space()], ...WordByWord::of($node->content));
            }
        }

        return $words;
    }

    /** @param list<Word> $words */
    private static function with(Node $block, array $words): Node
    {
        if ($words === []) {
            return $block;
        }
        if (self::isText($block)) {
            $own = WordByWord::of($block->content);
            $all = [...$own, ...$own === [] ? [] : [Word::space()], ...$words];

            return new Node($block->type, $block->attrs, WordByWord::inlines($all, $block->type === NodeType::CodeBlock));
        }
        for ($i = \count($block->content) - 1; $i >= 0; $i--) {
            $inner = self::with($block->content[$i], $words);
            if ($inner !== $block->content[$i]) {
                return new Node($block->type, $block->attrs, array_values(array_replace($block->content, [$i => $inner])));
            }
        }
        // A picture or a line holds no words: they stand below it, in the same block.
        if ($block->id() === null) {
            return $block;
        }
        $inner = new Node($block->type, array_diff_key($block->attrs, ['id' => true]), $block->content);

        return new Node(NodeType::Blockquote, ['id' => $block->id()], [$inner, Node::paragraph(WordByWord::inlines($words))]);
    }
}
