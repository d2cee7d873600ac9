<?php

declare(strict_types=1);

namespace Embrel\Draft;

use Embrel\Document\Document;
use Embrel\Document\Element;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Kind;
use Embrel\Plan\Numbered;
use Embrel\Plan\Plan;

/** From plan to document, in named passes: outline with numbers, notes, contents. */
final class Draft
{
    /** Plan with the notes loaded that are to be printed. */
    public static function of(Plan $plan, Choices $choices): Document
    {
        $numbering = Numbering::of($plan, $choices->scheme, $choices->numberDepth);
        $elements = self::outline($plan, $choices, $numbering);
        $elements = $choices->notes ? self::withNotes($elements, $plan, $choices) : $elements;
        $contents = $choices->contents ? Contents::of($elements) : [];
        $whole = $choices->from === Plan::ROOT;

        return new Document(
            $whole ? $plan->title() : $plan->topic($choices->from)->title,
            $plan->properties,
            $elements,
            $choices->scheme ?? $plan->properties->scheme,
            $choices->numberDepth ?? $plan->properties->depth,
            $contents,
        );
    }

    /** @return list<Element> a heading, item or quote for every topic that prints, in reading order */
    private static function outline(Plan $plan, Choices $choices, Numbering $numbering): array
    {
        $elements = [];
        $base = $plan->level($choices->from);
        // For each open level: how many items stand above it, whether in a quote, whether in an appendix.
        $open = [[0, false, self::isInAppendix($plan, $choices->from)]];
        $skipBelow = PHP_INT_MAX;
        foreach ($plan->walk($choices->from) as $id => $level) {
            $topic = $plan->topics[$id];
            if ($level > $skipBelow) {
                continue;
            }
            $skipBelow = $topic->kind === Kind::Aside ? $level : PHP_INT_MAX;
            if ($topic->kind === Kind::Aside) {
                continue;
            }
            [$items, $inQuote, $inAppendix] = $open[$level - 1];
            $appendix = $inAppendix || $topic->numbered === Numbered::Appendix;
            $role = match (true) {
                $topic->kind === Kind::Quote || $inQuote => Element::QUOTE,
                $topic->kind === Kind::Point || $items > 0 || $level > $choices->headingDepth => Element::ITEM,
                default => Element::HEADING,
            };
            $nested = $items + ($role === Element::ITEM ? 1 : 0);
            $elements[] = new Element($role, $role === Element::HEADING ? $level : $nested, $numbering->own($id), $topic->title, $id, depth: $base + $level, appendix: $appendix);
            if ($topic->picture !== null) {
                $elements[] = new Element(Element::PICTURE, $role === Element::HEADING ? 0 : $nested, title: $topic->title, topic: $id, picture: $topic->picture);
            }
            $open[$level] = [$nested, $role === Element::QUOTE, $appendix];
        }

        return $elements;
    }

    private static function isInAppendix(Plan $plan, string $id): bool
    {
        for (; $id !== Plan::ROOT; $id = (string) $plan->parent($id)) {
            if (!$plan->has($id) || $plan->topic($id)->numbered === Numbered::Appendix) {
                return $plan->has($id);
            }
        }

        return false;
    }

    /**
     * @param list<Element> $elements
     *
     * @return list<Element> each followed by the blocks of its topic's note; the opening note first
     */
    private static function withNotes(array $elements, Plan $plan, Choices $choices): array
    {
        $out = self::noteOf($plan, $choices->from, null);
        foreach ($elements as $i => $element) {
            $out[] = $element;
            // The picture of a topic stands between its title and its note.
            if ($element->role !== Element::PICTURE && ($elements[$i + 1]->role ?? '') !== Element::PICTURE) {
                array_push($out, ...self::noteOf($plan, $element->topic, $element));
            } elseif ($element->role === Element::PICTURE) {
                array_push($out, ...self::noteOf($plan, $element->topic, $elements[$i - 1]));
            }
        }

        return $out;
    }

    /** @return list<Element> */
    private static function noteOf(Plan $plan, string $id, ?Element $above): array
    {
        $note = $plan->topic($id)->note;
        if ($note === null || $note->isEmpty()) {
            return [];
        }
        $under = $above === null || $above->role === Element::HEADING ? 0 : $above->level;
        $body = [];
        foreach ($note->blocks as $block) {
            $body[] = new Element(Element::BODY, $under, topic: $id, block: $block, inQuote: $above?->role === Element::QUOTE);
        }

        return $body;
    }
}
