<?php

declare(strict_types=1);

namespace Embrel\Draft;

use Embrel\Citation\Cited;
use Embrel\Citation\Label;
use Embrel\Citation\Terms;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Plan;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;

/**
 * What stands in a text and is none: a citation says what it cites and a reference to what it refers, however they are
 * printed. Two that are the same say the same.
 */
final readonly class InWords
{
    private Numbering $numbering;
    private Terms $terms;

    /** @param Plan $plan with its sources */
    public function __construct(private Plan $plan)
    {
        $this->numbering = Numbering::of($plan);
        $this->terms = Terms::of($plan->properties->language);
    }

    public function node(Node $node): Node
    {
        if ($node->type === NodeType::Citation) {
            return Node::text('(' . Label::of(Cited::of($node), $this->plan->sources, $this->terms) . ')');
        }
        if ($node->type === NodeType::TopicRef) {
            $topic = (string) $node->string('topic');

            return Node::text(
                $this->plan->has($topic) && $this->plan->isLive($topic)
                    ? ($this->numbering->titled($this->plan->topic($topic)) ?: '–')
                    : '[?]',
            );
        }

        return $node->content === []
            ? $node
            : new Node($node->type, $node->attrs, array_map($this->node(...), $node->content), $node->text, $node->marks);
    }
}
