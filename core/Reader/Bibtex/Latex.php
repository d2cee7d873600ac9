<?php

declare(strict_types=1);

namespace Embrel\Reader\Bibtex;

/** Text of LaTeX as plain text: accents, dashes, signs. What it does not know stays without its backslash. */
final class Latex
{
    private const ACCENTS = [
        '`' => "\u{300}",
        "'" => "\u{301}",
        '^' => "\u{302}",
        '~' => "\u{303}",
        '"' => "\u{308}",
        '=' => "\u{304}",
        '.' => "\u{307}",
        'u' => "\u{306}",
        'v' => "\u{30C}",
        'H' => "\u{30B}",
        'c' => "\u{327}",
        'k' => "\u{328}",
        'r' => "\u{30A}",
        'd' => "\u{323}",
        'b' => "\u{331}",
    ];
    private const SIGNS = [
        'ss' => 'ß',
        'ae' => 'æ',
        'AE' => 'Æ',
        'oe' => 'œ',
        'OE' => 'Œ',
        'o' => 'ø',
        'O' => 'Ø',
        'aa' => 'å',
        'AA' => 'Å',
        'l' => 'ł',
        'L' => 'Ł',
        'i' => 'i',
        'j' => 'j',
        'dh' => 'ð',
        'th' => 'þ',
        'textendash' => '–',
        'textemdash' => '—',
        'ldots' => '…',
        'dots' => '…',
        'textquoteright' => '’',
        'textquoteleft' => '‘',
        'textquotedblleft' => '“',
        'textquotedblright' => '”',
        'copyright' => '©',
        'pounds' => '£',
        'S' => '§',
        'textasciitilde' => "\x02",
        'textbackslash' => "\x03",
        'euro' => '€',
    ];

    public static function plain(string $text): string
    {
        if (strpbrk($text, '\\{}~$') === false && !str_contains($text, '--') && !str_contains($text, "''")) {
            return trim(preg_replace('/\s+/u', ' ', $text) ?? $text);
        }
        $text
            = preg_replace_callback(
                '/\\\\([`\'^~"=.]|[uvHckrdb](?=\s*\{|\s+\\\\?[A-Za-z]))\s*(?:\{\s*\\\\?([A-Za-z])\s*\}|\\\\([ij])(?![A-Za-z])|([A-Za-z]))/',
                static fn(array $m): string => self::composed(($m[2] ?? '') . ($m[3] ?? '') . ($m[4] ?? '') . self::ACCENTS[$m[1]]),
                $text,
            ) ?? $text;
        $text
            = preg_replace_callback(
                '/\\\\([A-Za-z]+)(?:\{\}|\s+|(?![A-Za-z]))/',
                static fn(array $m): string => self::SIGNS[$m[1]] ?? '',
                $text,
            ) ?? $text;
        $text = preg_replace('/\\\\([&%$#_{}\-])/', "\x01$1", $text) ?? $text;
        // Only what was not written with a backslash is markup.
        $text
            = preg_replace(
                ['/(?<!\x01)[{}]/', '/(?<!\x01)\$/', '/~/', '/---/', '/--/', '/``/', "/''/", '/\x01-?/', '/\\\\/', '/\s+/u'],
                ['', '', ' ', '—', '–', '“', '”', '', '', ' '],
                $text,
            ) ?? $text;

        // The two signs that mean something else here stood in for themselves until now.
        return trim(strtr($text, ["\x02" => '~', "\x03" => '\\']));
    }

    private static function composed(string $letter): string
    {
        $composed = \Normalizer::normalize($letter);

        return \is_string($composed) ? $composed : $letter;
    }

    /** The words that stand in braces within a title: their capitals are to be kept. */
    public static function protectedWords(string $title): string
    {
        preg_match_all('/\{([^{}\\\\]*\p{Lu}[^{}]*)\}/u', preg_match('/\A\{([^{}]*)\}\z/', $title) === 1 ? '' : $title, $found);

        return implode(', ', array_unique(array_map(self::plain(...), $found[1])));
    }
}
