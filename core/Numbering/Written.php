<?php

declare(strict_types=1);

namespace Embrel\Numbering;

/** Numbers as they stand before a title in a text. */
final class Written
{
    /** 1 · 1.1 · 2) · IV. · A.1 · (a) · Chapter 3 */
    private const FORM = '/\A(?:(?:Chapter|Kapitel|Section|Abschnitt|Appendix|Anhang|Part|Teil)\s)?'
        . '\(?(?:\d+(?:\.\d+)*|[IVXLCDM]+|\p{L}(?=[.)]))(?:\.[\p{L}\p{N}]{1,4})*[.)]?\s*\z/u';

    /** Whether what stands before a title looks like its number, and not like words of it. */
    public static function isNumber(string $before): bool
    {
        return $before !== '' && preg_match(self::FORM, $before) === 1;
    }
}
