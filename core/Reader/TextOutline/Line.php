<?php

declare(strict_types=1);

namespace Embrel\Reader\TextOutline;

/** What stands before the words of a line in an outline: how far it is set in, and the sign of a list. */
final class Line
{
    /** Columns of a tab. */
    public const TAB = 4;
    /** One sign of a list, and the space after it. */
    public const BULLET = '/\A[-*+•–◦▪‣·○●■]\s+(?=\S)/u';

    public static function indent(string $line): string
    {
        return substr($line, 0, strspn($line, " \t"));
    }

    public static function column(string $line): int
    {
        $indent = self::indent($line);

        return \strlen($indent) + (self::TAB - 1) * substr_count($indent, "\t");
    }
}
