<?php

declare(strict_types=1);

namespace Embrel\Intake;

use Embrel\RichText\Node;
use Embrel\RichText\NodeType;

/** Footnotes that are a citation and nothing else: a plan has the citation in the line, and its style makes the note. */
final class CitedNotes
{
    /**
     * A citation that was a note stands before the mark that ends its clause again (see Printed::footnote()).
     *
     * @param list<Node> $nodes
     * @param array<Node> $before as they were
     *
     * @return list<Node>
     */
    public static function inLine(array $nodes, array $before): array
    {
        $out = [];
        foreach ($nodes as $i => $node) {
            $last = $out[\count($out) - 1] ?? null;
            if ($node->type === NodeType::Citation && ($before[$i]->type ?? null) === NodeType::Footnote && $last?->isText() === true) {
                preg_match('/\A(.*?)([.,;:!?”"’)]*)\z/us', $last->text, $m);
                array_pop($out);
                $word = ($m[1] ?? '') === '' ? '' : rtrim($m[1]) . ' ';
                array_push(
                    $out,
                    ...$word === '' ? [] : [Node::text($word, $last->marks)],
                    ...[$node],
                    ...($m[2] ?? '') === '' ? [] : [Node::text($m[2], $last->marks)],
                );
            } else {
                $out[] = $node;
            }
        }

        return $out;
    }

    /**
     * @param list<Node> $blocks
     *
     * @return list<Node>
     */
    public static function in(array $blocks): array
    {
        return array_map(self::node(...), $blocks);
    }

    private static function node(Node $node): Node
    {
        if ($node->content === []) {
            return $node;
        }
        $content = self::inLine(array_map(self::alone(...), array_map(self::node(...), $node->content)), $node->content);

        return $content === $node->content ? $node : new Node($node->type, $node->attrs, $content, $node->text, $node->marks);
    }

    /** The citation that a footnote is; anything else as it is. */
    private static function alone(Node $node): Node
    {
        if ($node->type !== NodeType::Footnote) {
            return $node;
        }
        $said = array_values(array_filter(
            $node->content,
            static fn(Node $one): bool => !$one->isText() || trim($one->text, " .\t\n\u{A0}") !== '',
        ));

        return \count($said) === 1 && $said[0]->type === NodeType::Citation ? $said[0] : $node;
    }
}
