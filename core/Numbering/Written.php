<?php

declare(strict_types=1);

namespace Embrel\Numbering;

use Embrel\Language\Language;

/** Numbers as they stand before a title in a text. */
final class Written
{
    /** 1 · 1.1 · 2) · IV. · A.1 · (a) · Chapter 3 */
    private const FORM = '/\A(?:(?:%s|Section|Abschnitt)\s)?'
        . '\(?(?:\d+(?:\.\d+)*|[IVXLCDM]+|\p{L}(?=[.)])|(?<=\s)\p{Lu}(?=\s*\z))(?:\.[\p{L}\p{N}]{1,4})*[.)]?\s*\z/u';

    /** Whether what stands before a title looks like its number, and not like words of it. */
    public static function isNumber(string $before): bool
    {
        return $before !== '' && preg_match(\sprintf(self::FORM, self::words()), $before) === 1;
    }

    /** What may stand before a number, in any language. */
    private static function words(): string
    {
        $words = [];
        foreach (Language::known() as $tag) {
            array_push($words, ...array_map(Language::of($tag)->say(...), ['chapter', 'part', 'appendix']));
        }

        return implode('|', array_unique($words));
    }
}
