<?php

declare(strict_types=1);

namespace Embrel\Draft;

use Embrel\Document\Element;
use Embrel\Document\Role;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Plan;
use Embrel\RichText\Mark;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;
use Embrel\RichText\TopicLink;

/** Relations as a line under each of the two topics, behind its note. */
final class SeeAlso
{
    /**
     * @param list<Element> $elements
     *
     * @return list<Element>
     */
    public static function in(array $elements, Plan $plan, Numbering $numbering): array
    {
        $related = [];
        $printed = array_fill_keys(array_map(static fn(Element $element): string => $element->topic, $elements), true);
        foreach ($plan->relations as $relation) {
            if (isset($printed[$relation->from], $printed[$relation->to])) {
                $related[$relation->from][] = [$relation->to, $relation->label];
                $related[$relation->to][] = [$relation->from, $relation->label];
            }
        }
        if ($related === []) {
            return $elements;
        }
        $says = str_starts_with(strtolower($plan->properties->language), 'de') ? 'Siehe auch: ' : 'See also: ';
        $out = [];
        foreach ($elements as $i => $element) {
            $out[] = $element;
            $isLast = ($elements[$i + 1]->topic ?? null) !== $element->topic;
            if ($isLast && isset($related[$element->topic])) {
                $out[] = new Element(
                    Role::SeeAlso,
                    $element->role === Role::Heading ? 0 : $element->level,
                    topic: $element->topic,
                    block: self::line($says, $related[$element->topic], $plan, $numbering),
                );
            }
        }

        return $out;
    }

    /** @param non-empty-list<array{string, string}> $related topic and what the relation says */
    private static function line(string $says, array $related, Plan $plan, Numbering $numbering): Node
    {
        $runs = [Node::text($says, [new Mark(MarkType::Italic)])];
        foreach ($related as $i => [$id, $label]) {
            $i === 0 ? null : ($runs[] = Node::text('; '));
            $runs[] = Node::text($numbering->titled($plan->topic($id)) ?: '–', [
                TopicLink::to($id),
            ]);
            $label === '' ? null : ($runs[] = Node::text(" ({$label})"));
        }

        return Node::paragraph([...$runs, Node::text('.')]);
    }
}
