<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl;

/** Printed text as runs, each with what is set apart in it; quotation marks turn within others. */
final class Spans
{
    public const ITALIC = 1;
    public const BOLD = 2;
    public const SMALL_CAPS = 4;
    public const UNDERLINE = 8;
    public const RAISED = 16;
    public const LOWERED = 32;

    private const SETS = [
        Flat::ITALIC => [self::ITALIC, true],
        Flat::UPRIGHT => [self::ITALIC, false],
        Flat::BOLD => [self::BOLD, true],
        Flat::LIGHT => [self::BOLD, false],
        Flat::SMALL_CAPS => [self::SMALL_CAPS, true],
        Flat::NO_SMALL_CAPS => [self::SMALL_CAPS, false],
        Flat::UNDERLINE => [self::UNDERLINE, true],
        Flat::NO_UNDERLINE => [self::UNDERLINE, false],
        Flat::RAISED => [self::RAISED, true],
        Flat::LOWERED => [self::LOWERED, true],
        Flat::ON_THE_LINE => [self::RAISED | self::LOWERED, false],
    ];
    private const TURNS = [Flat::OWN_ITALIC => self::ITALIC, Flat::OWN_BOLD => self::BOLD, Flat::OWN_SMALL_CAPS => self::SMALL_CAPS];
    /** What is of use only while a text grows. */
    private const SEAMS = Flat::EDGE . Flat::STAYS . Flat::TAIL . Flat::INNER_TAIL . Flat::DATED;
    private const BLOCKS = [
        Flat::LEFT_MARGIN => 'left-margin',
        Flat::RIGHT_INLINE => 'right-inline',
        Flat::BLOCK => 'block',
        Flat::INDENT => 'indent',
    ];

    /**
     * @param array{string, string, string, string} $quotes
     *
     * @return list<array{string, int, string}> text, what is set apart, block (empty: none)
     */
    public static function of(string $flat, array $quotes): array
    {
        if (strpbrk($flat, Flat::CONTROLS) === false) {
            return $flat === '' ? [] : [[$flat, 0, '']];
        }
        $spans = [];
        $stack = [];
        $marks = 0;
        $block = '';
        $open = [];
        // The block that has just ended.
        $above = '';
        foreach (Flat::pieces($flat) as $piece) {
            if (Flat::isText($piece)) {
                $text = $piece;
                // A mark that stands first beside a margin, or below a block, closes what is in it.
                if (($above === 'left-margin' || $above === 'block') && preg_match('/\A([.,;:]+)\s*/', $text, $m) === 1) {
                    $text = substr($text, \strlen($m[0]));
                    $isClosed = str_ends_with($spans[\count($spans) - 1][0] ?? '', $m[1]);
                    self::add($spans, $isClosed ? '' : $m[1], $marks, $above);
                }
            } elseif (str_contains(self::SEAMS, $piece)) {
                $above = $piece === Flat::STAYS ? '' : $above;

                continue;
            } elseif ($piece === Flat::SHUT || $piece === Flat::END) {
                [$was, [$marks, $block]] = [$block, array_pop($stack) ?? [0, '']];
                $above = $was === $block ? $above : $was;

                continue;
            } elseif ($piece === Flat::QUOTE || $piece === Flat::INNER_QUOTE) {
                // Within the same kind a mark turns into the other.
                $kind = $piece === Flat::QUOTE ? 0 : 1;
                $kind = $open !== [] && $open[\count($open) - 1] === $kind ? 1 - $kind : $kind;
                $open[] = $kind;
                $text = $quotes[$kind * 2];
            } elseif ($piece === Flat::UNQUOTE || $piece === Flat::INNER_UNQUOTE) {
                $text = $quotes[(array_pop($open) ?? 0) * 2 + 1];
            } else {
                $stack[] = [$marks, $block];
                if (isset(self::SETS[$piece])) {
                    [$mark, $on] = self::SETS[$piece];
                    $marks = $on ? $marks | $mark : $marks & ~$mark;
                } elseif (isset(self::TURNS[$piece])) {
                    $marks ^= self::TURNS[$piece];
                } elseif (isset(self::BLOCKS[$piece])) {
                    $block = self::BLOCKS[$piece];
                }

                continue;
            }
            $above = '';
            self::add($spans, $text, $marks, $block);
        }

        return $spans;
    }

    /** @param list<array{string, int, string}> $spans */
    private static function add(array &$spans, string $text, int $marks, string $block): void
    {
        $last = \count($spans) - 1;
        if ($last >= 0 && $spans[$last][1] === $marks && $spans[$last][2] === $block) {
            $spans[$last][0] .= $text;
        } elseif ($text !== '') {
            $spans[] = [$text, $marks, $block];
        }
    }
}
