<?php

declare(strict_types=1);

namespace Embrel\Reader\Markdown;

/**
 * Whether pasted text is Markdown. Only what an outline of plain lines never has says so: headings
 * by number signs or underlined, and fenced code. Lists and stars are in plain outlines too.
 */
final class Recognition
{
    private const HEADING = '/^ {0,3}#{1,6}[ \t]+\S/m';
    private const UNDERLINED = '/^ {0,3}\S[^\n]*\n {0,3}(?:={3,}|-{3,})[ \t]*$/m';
    private const FENCE = '/^ {0,3}(`{3,}|~{3,})[^`\n]*\n(?:[^\n]*\n)*? {0,3}\1[ \t]*$/m';

    public static function isMarkdown(string $text): bool
    {
        $text = str_replace(["\r\n", "\r"], "\n", $text);
        $headings = (int) preg_match_all(self::HEADING, $text) + (int) preg_match_all(self::UNDERLINED, $text);

        // One alone, amid other lines, may be a line that counts something.
        return $headings > 1 || preg_match('/\A\s*^ {0,3}#{1,6}[ \t]+\S/m', $text) === 1 || preg_match(self::FENCE, $text) === 1;
    }
}
