<?php

declare(strict_types=1);

namespace Embrel\Draft;

use Embrel\Document\Document;
use Embrel\Document\Element;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Kind;
use Embrel\Plan\Numbered;
use Embrel\Plan\Plan;
use Embrel\RichText\Node;

/** From plan to document, in named passes: outline with numbers, notes, contents. */
final class Draft
{
    private const NAMED_FOR_REFERENCES = '/\A\s*(?:references?|reference list|bibliography|works cited|literature cited|sources|literatur|literaturverzeichnis|quellen|quellenverzeichnis|bibliogra(?:ph|f)ie)\s*\z/i';

    /** Plan with the notes loaded that are to be printed. */
    public static function of(Plan $plan, Choices $choices): Document
    {
        $numbering = Numbering::of($plan, $choices->scheme, $choices->numberDepth);
        $elements = self::outline($plan, $choices, $numbering);
        $printed = null;
        if ($choices->notes) {
            $topics = [$choices->from, ...array_values(array_unique(array_map(static fn(Element $element): string => $element->topic, $elements)))];
            $printed = Printed::of($plan, $numbering, $topics, array_fill_keys($topics, true), $choices->allSources);
            $elements = self::withReferences(self::withNotes($elements, $printed, $choices), $printed);
        }
        $contents = $choices->contents ? Contents::of($elements) : [];
        $whole = $choices->from === Plan::ROOT;

        return new Document(
            $whole ? $plan->title() : $plan->topic($choices->from)->title,
            $plan->properties,
            $elements,
            $choices->scheme ?? $plan->properties->scheme,
            $choices->numberDepth ?? $plan->properties->depth,
            $contents,
            $printed->missing ?? [],
        );
    }

    /** @return list<string> the topic and those under it that print, in reading order: nothing under an aside does */
    public static function topics(Plan $plan, string $from): array
    {
        $topics = [$from];
        $skipBelow = PHP_INT_MAX;
        foreach ($plan->walk($from) as $id => $level) {
            if ($level <= $skipBelow) {
                $isAside = $plan->topics[$id]->kind === Kind::Aside;
                $skipBelow = $isAside ? $level : PHP_INT_MAX;
                array_push($topics, ...($isAside ? [] : [$id]));
            }
        }

        return $topics;
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
    private static function withNotes(array $elements, Printed $printed, Choices $choices): array
    {
        $out = self::noteOf($printed, $choices->from, null);
        foreach ($elements as $i => $element) {
            $out[] = $element;
            // The picture of a topic stands between its title and its note.
            if ($element->role !== Element::PICTURE && ($elements[$i + 1]->role ?? '') !== Element::PICTURE) {
                array_push($out, ...self::noteOf($printed, $element->topic, $element));
            } elseif ($element->role === Element::PICTURE) {
                array_push($out, ...self::noteOf($printed, $element->topic, $elements[$i - 1]));
            }
        }

        return $out;
    }

    /**
     * The list of references under the section that is named for it, else under a heading of its own at the end.
     *
     * @param list<Element> $elements
     *
     * @return list<Element>
     */
    private static function withReferences(array $elements, Printed $printed): array
    {
        if ($printed->references->list === []) {
            return $elements;
        }
        $list = array_map(static fn(array $entry): Element => new Element(Element::REFERENCE, 0, topic: $entry['source']->id, block: Node::paragraph($entry['runs'])), $printed->references->list);
        $at = \count($elements);
        while ($at > 0 && !($elements[$at - 1]->role === Element::HEADING && preg_match(self::NAMED_FOR_REFERENCES, $elements[$at - 1]->title) === 1)) {
            --$at;
        }
        if ($at === 0) {
            return [...$elements, new Element(Element::HEADING, 1, title: $printed->references->heading, topic: 'references', depth: 1), ...$list];
        }
        // Behind what is written in that section itself.
        for ($topic = $elements[$at - 1]->topic; isset($elements[$at]) && $elements[$at]->topic === $topic; ++$at);

        return [...\array_slice($elements, 0, $at), ...$list, ...\array_slice($elements, $at)];
    }

    /** @return list<Element> */
    private static function noteOf(Printed $printed, string $id, ?Element $above): array
    {
        $note = $printed->note($id);
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
