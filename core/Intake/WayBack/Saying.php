<?php

declare(strict_types=1);

namespace Embrel\Intake\WayBack;

use Embrel\Citation\Cited;
use Embrel\Citation\Label;
use Embrel\Citation\Terms;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Plan;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;

/**
 * What notes say, for comparing and for showing. A citation says what it cites and a reference to what
 * it refers, however they were printed: two that are the same say the same.
 */
final readonly class Saying
{
    private Numbering $numbering;
    private Terms $terms;

    public function __construct(private Plan $plan)
    {
        $this->numbering = Numbering::of($plan);
        $this->terms = Terms::of($plan->properties->language);
    }

    public function note(?Note $note): string
    {
        return $note === null ? '' : Comparison::text(Note::of(array_map($this->node(...), array_values($note->printing()->blocks))));
    }

    public function block(Node $block): string
    {
        return Comparison::blockText($this->node($block->printing() ?? $block));
    }

    private function node(Node $node): Node
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
