<?php

declare(strict_types=1);

namespace Embrel\Citation;

/** Page numbers as the styles print them. */
final class Pages
{
    public const FULL = 'full';
    public const CHICAGO = 'chicago';
    public const MLA = 'mla';

    /** Whether a place in a source is given in pages, and not in words such as “ch. 3”. */
    public static function arePages(string $place): bool
    {
        return preg_match('/\A(?:\d|[ivxlc]+(?:\W|\z))/i', self::bare($place)) === 1;
    }

    public static function areSeveral(string $pages): bool
    {
        return preg_match('/\d\s*[-–—,&]\s*\d|[ivxlc]\s*[-–—]\s*[ivxlc]|\d\s*ff\b/iu', $pages) === 1;
    }

    /** Without the “p.” that is typed before them. */
    public static function bare(string $pages): string
    {
        return preg_replace('/\A(?:pp?|S|Seiten?|pages?)\b\.?\s*(?=[\divxlc])/u', '', trim($pages)) ?? $pages;
    }

    /** With en dashes, and the second number of each range as the form wants it. */
    public static function range(string $pages, string $form): string
    {
        $pages = self::bare($pages);
        if (preg_match('/[-–—]/u', $pages) !== 1) {
            return $pages;
        }

        return preg_replace_callback(
            '/(?<![\p{L}\d])(\d+)\s*[-–—]+\s*(\d+)(?![\p{L}\d])/u',
            static fn(array $m): string => $m[1] . '–' . self::second($m[1], $m[2], $form),
            preg_replace('/(?<=[ivxlcdm])\s*-+\s*(?=[ivxlcdm])/i', '–', $pages) ?? $pages,
        ) ?? $pages;
    }

    private static function second(string $first, string $second, string $form): string
    {
        // What is typed short is made whole before it is cut by the style's own rule.
        if (\strlen($second) < \strlen($first)) {
            $second = substr($first, 0, \strlen($first) - \strlen($second)) . $second;
        }
        if ($form === self::FULL || \strlen($first) !== \strlen($second) || \strlen($first) < 3) {
            return $second;
        }
        for ($same = 0; $same < \strlen($first) - 1 && $first[$same] === $second[$same]; ++$same);
        $changed = \strlen($first) - $same;
        if ($form === self::MLA) {
            return substr($second, -max(2, $changed));
        }
        $n = (int) $first;

        // Chicago: after a full hundred all digits, in its first nine pages only what changes, else two or more.
        return match (true) {
            $n % 100 === 0 => $second,
            $n % 100 < 10 => substr($second, -$changed),
            default => \strlen($first) === 4 && $changed > 2 ? $second : substr($second, -max(2, $changed)),
        };
    }
}
