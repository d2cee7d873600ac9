<?php

declare(strict_types=1);

namespace Embrel\Citation;

use Embrel\Citation\Csl\Numbers;

/** Page numbers as the styles print them. */
final class Pages
{
    // As page-range-format of CSL 1.0.2 has them.
    public const FULL = 'expanded';
    public const CHICAGO = 'chicago-15';
    public const MLA = 'minimal-two';

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
            static fn(array $m): string => Numbers::pages($m[0], $form, '–'),
            preg_replace('/(?<=[ivxlcdm])\s*-+\s*(?=[ivxlcdm])/i', '–', $pages) ?? $pages,
        ) ?? $pages;
    }
}
