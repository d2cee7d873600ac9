<?php

declare(strict_types=1);

namespace Embrel\Intake;

use Embrel\Document\Element;
use Embrel\Document\Role;

/** What the headings of a document say of it as a whole. */
final class Headings
{
    /** @param list<Element> $elements */
    public static function first(array $elements): ?Element
    {
        foreach ($elements as $element) {
            if ($element->role === Role::Heading) {
                return $element;
            }
        }

        return null;
    }

    /** @param list<Element> $elements */
    public static function areSeveral(array $elements): bool
    {
        return \count(array_filter($elements, static fn(Element $element): bool => $element->role === Role::Heading)) > 1;
    }

    /**
     * Where the one heading stands that is above all others and before them.
     *
     * @param list<Element> $elements
     */
    public static function aboveAll(array $elements): ?int
    {
        $first = $level = null;
        foreach ($elements as $i => $element) {
            if ($element->role === Role::Heading) {
                $first ??= $i;
                $level ??= $element->level;
                if ($i !== $first && $element->level <= $level) {
                    return null;
                }
            }
        }

        return $first;
    }

    /**
     * Whether it is nothing but text, of which no list becomes topics.
     *
     * @param list<Element> $elements
     */
    public static function areText(array $elements, bool $listsAreTopics): bool
    {
        foreach ($elements as $element) {
            $isList = $element->block?->type->isList() === true;
            if ($element->role !== Role::Body || ($isList && $listsAreTopics)) {
                return false;
            }
        }

        return true;
    }
}
