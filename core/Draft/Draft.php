<?php

declare(strict_types=1);

namespace Embrel\Draft;

use Embrel\Citation\ListLook;
use Embrel\Citation\References;
use Embrel\Document\Document;
use Embrel\Document\Element;
use Embrel\Document\Origin;
use Embrel\Document\Role;
use Embrel\Language\Language;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;
use Embrel\RichText\Mark;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;

/** From plan to document, in named passes: outline with numbers, notes, related sections, references, figures, contents. */
final class Draft
{
    /** The topic of the line that says that a helper drafted parts of the text. */
    private const HELPED = 'helped';

    /** Plan with the notes loaded that are to be printed. */
    public static function of(Plan $plan, Choices $choices): Document
    {
        $draft = $choices->draft;
        $numbering = Numbering::of($plan, $choices->scheme, $choices->numberDepth);
        $outline = new Outlining($plan, $choices, $numbering);
        [$elements, $leftOut, $printed] = [$outline->elements, $outline->leftOut, null];
        $topics = [
            $choices->from,
            ...array_values(array_unique(array_map(static fn(Element $element): string => $element->topic, $elements))),
        ];
        if ($choices->notes) {
            $printed = Printed::of($plan, $numbering, $topics, array_fill_keys($topics, true), $choices->allSources);
            $printed->asFields = $draft->citationFields;
            $elements = self::withNotes($elements, $printed, $choices);
        } else {
            $leftOut += array_filter(['notes' => \count(array_filter($topics, static fn(string $id): bool => $plan->topic($id)->noted))]);
        }
        if (!$draft->showsPictures) {
            [$elements, $without] = Figures::without($elements);
            $leftOut['pictures'] = ($leftOut['pictures'] ?? 0) + $without;
        }
        $elements = $draft->seeAlso ? SeeAlso::in($elements, $plan, $numbering) : $elements;
        $language = Language::of($plan->properties->language);
        if ($draft->helped) {
            $elements[] = new Element(Role::Body, 0, topic: self::HELPED, block: Node::paragraph([Node::text($language->say('helped'))]));
        }
        $elements = $draft->glossary ? [...$elements, ...self::glossary($plan, $language)] : $elements;
        $elements = $draft->sources && $printed !== null ? self::withReferences($elements, $printed) : $elements;
        [$elements, $captions]
            = $draft->figures && $draft->showsPictures ? Figures::counted($elements, $plan->properties->language) : [$elements, []];
        $terms = array_map(strval(...), array_keys($plan->properties->terms));
        $elements = $draft->index ? Index::in($elements, $terms, $language) : $elements;
        $hasPages = $draft->contents || $captions !== [];
        $pages = $hasPages ? new Contents($elements, $draft->style(), $plan->properties->pageSize, $draft->contentsDepth) : null;
        $whole = $choices->from === Plan::ROOT;

        return new Document(
            $whole ? $plan->title() : $plan->topic($choices->from)->title,
            $plan->properties,
            $elements,
            $choices->scheme ?? $plan->properties->scheme,
            $choices->numberDepth ?? $plan->properties->depth,
            $draft->contents && $pages !== null ? $pages->list : [],
            $printed->missing ?? [],
            $draft->style(),
            array_map(
                static fn(string $text, int $i): array => ['text' => $text, 'page' => $pages->figures[$i] ?? 1],
                $captions,
                array_keys($captions),
            ),
            array_filter($leftOut),
            self::date($draft->date, $plan->properties->language),
            $draft->counted,
            $draft->marks ?? true,
            $draft->contentsDepth,
            self::origin($choices),
            $draft->remarks,
            $printed->references->look ?? new ListLook(),
            $draft->citationFields,
        );
    }

    /** @return list<Element> the terms that have a meaning, under a heading of their own */
    private static function glossary(Plan $plan, Language $language): array
    {
        $terms = array_filter($plan->properties->terms, static fn(string $says): bool => $says !== '');
        $body = array_map(
            static fn(int|string $term, string $says): Element => new Element(
                Role::Body,
                0,
                topic: Index::GLOSSARY,
                block: Node::paragraph([Node::text((string) $term, [new Mark(MarkType::Bold)]), Node::text(": {$says}")]),
            ),
            array_keys($terms),
            $terms,
        );

        return $body === [] ? [] : [
            new Element(Role::Heading, 1, title: $language->say('glossary'), topic: Index::GLOSSARY, depth: 1),
            ...$body,
        ];
    }

    /** With the kinds of topics that are not in it. */
    private static function origin(Choices $choices): ?Origin
    {
        $without = array_values(
            array_filter(Kind::cases(), static fn(Kind $kind): bool => $choices->draft->prints($kind) === Printing::Out),
        );

        return $choices->draft->origin === null || $choices->draft->marks === false
            ? null
            : new Origin($choices->draft->origin->plan, $choices->draft->origin->revision, $without);
    }

    /** 23 November 2026; 23. November 2026. */
    private static function date(?string $date, string $language): string
    {
        $day = $date === null ? false : \DateTimeImmutable::createFromFormat('!Y-m-d', $date, new \DateTimeZone('UTC'));
        if ($day === false) {
            return '';
        }
        $form = new \IntlDateFormatter($language === 'en' ? 'en-GB' : $language, \IntlDateFormatter::LONG, \IntlDateFormatter::NONE, 'UTC');

        return $form->format($day) ?: '';
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
                array_push($topics, ...$isAside ? [] : [$id]);
            }
        }

        return $topics;
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
            if ($element->role !== Role::Picture && ($elements[$i + 1]->role ?? '') !== Role::Picture) {
                $note = self::noteOf($printed, $element->topic, $element);
                if ($note !== [] && $element->role === Role::Quote) {
                    $out[\count($out) - 1] = $element->with(['inQuote' => true]);
                }
                array_push($out, ...$note);
            } elseif ($element->role === Role::Picture) {
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
        $list = array_map(
            static fn(array $entry): Element => new Element(
                Role::Reference,
                0,
                number: $entry['label'],
                topic: $entry['source']->id,
                block: Node::paragraph($entry['runs']),
            ),
            $printed->references->list,
        );
        $at = \count($elements);
        while (
            $at > 0
            && !($elements[$at - 1]->role === Role::Heading && References::isTitle($elements[$at - 1]->title))
        ) {
            --$at;
        }
        if ($at === 0) {
            return [
                ...$elements,
                new Element(Role::Heading, 1, title: $printed->references->heading, topic: 'references', depth: 1),
                ...$list,
            ];
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
        $under = $above === null || $above->role === Role::Heading ? 0 : $above->level;
        $body = [];
        foreach ($note->blocks as $block) {
            $body[] = new Element(Role::Body, $under, topic: $id, block: $block, inQuote: $above?->role === Role::Quote);
        }

        return $body;
    }
}
