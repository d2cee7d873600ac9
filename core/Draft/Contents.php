<?php

declare(strict_types=1);

namespace Embrel\Draft;

use Embrel\Document\Element;
use Embrel\Words;

/**
 * The contents list with an estimate of each heading's page, until a word processor counts them.
 * Estimated in lines of a page of A4 with single spacing: about 13 words a line, and 56 such lines a page, gaps counted as lines.
 */
final class Contents
{
    private const WORDS_A_LINE = 13;
    private const LINES_A_PAGE = 56;
    private const ENTRIES_A_PAGE = 36;

    /**
     * @param list<Element> $elements
     *
     * @return list<array{element: Element, page: int}>
     */
    public static function of(array $elements): array
    {
        $listed = array_filter($elements, self::isListed(...));
        $line = self::LINES_A_PAGE * max(1, (int) ceil((\count($listed) + 6) / self::ENTRIES_A_PAGE));
        $contents = [];
        foreach ($elements as $element) {
            if (self::isListed($element)) {
                $contents[] = ['element' => $element, 'page' => 1 + intdiv($line, self::LINES_A_PAGE)];
            }
            $line += self::lines($element);
        }

        return $contents;
    }

    private static function isListed(Element $element): bool
    {
        return $element->role === Element::HEADING && $element->level <= Choices::CONTENTS_LEVELS;
    }

    private static function lines(Element $element): int
    {
        return match ($element->role) {
            Element::HEADING => 3,
            Element::BODY, Element::REFERENCE => 1 + (int) ceil(Words::in($element->block?->plainText() ?? '') / self::WORDS_A_LINE),
            Element::PICTURE => 1 + (int) (($element->picture?->shownHeight() ?? 0.0) * 1.5 / 20),
            default => 1 + intdiv(\strlen($element->title), 90),
        };
    }
}
