<?php

declare(strict_types=1);

namespace Embrel\RichText;

/** Text made fit to be kept: no control characters, which no file format of ours could carry. */
final class Text
{
    /** JSON that holds a character which would be taken out. */
    private const FORBIDDEN_IN_JSON = '/\\\\u(?:000[0-8bcef]|001[0-9a-f]|007f|008[0-9a-f]|009[0-9a-f]|fff[ef])|\x7F|\xC2[\x80-\x9F]|\xEF\xBF[\xBE\xBF]/i';

    /** Whether something in a JSON text would be taken out of it. */
    public static function losesIn(string $json): bool
    {
        return preg_match(self::FORBIDDEN_IN_JSON, $json) === 1;
    }

    /** Keeps tab and line feed; drops the other control characters and lone non-characters. */
    public static function cleaned(string $text): string
    {
        if (preg_match('/[\x00-\x08\x0B-\x1F\x7F]|\xEF\xBF[\xBE\xBF]|\xC2[\x80-\x9F]/', $text) !== 1) {
            return $text;
        }

        return preg_replace(
            ['/\r\n?/', '/[\x00-\x08\x0B-\x1F\x7F]/', '/\xEF\xBF[\xBE\xBF]/', '/[\x{80}-\x{9F}]/u'],
            ["\n", '', '', ''],
            $text,
        ) ?? $text;
    }

    /** One line: cleaned, white space around it gone, line feeds and tabs as spaces. */
    public static function line(string $text): string
    {
        $text = trim(self::cleaned($text));

        return preg_match('/[\n\t]/', $text) === 1 ? preg_replace('/\s*[\n\t]\s*/', ' ', $text) ?? $text : $text;
    }
}
