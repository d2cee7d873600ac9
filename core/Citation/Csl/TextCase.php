<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl;

/** Capitals as a style wants them (CSL 1.0.2, “Text-case”); what a writer marked as it is stays so. */
final class TextCase
{
    /** Words that keep a small letter within a title. */
    public const SMALL = [
        'about', 'above', 'across', 'afore', 'after', 'against', 'al', 'along', 'alongside', 'amid', 'amidst', 'among',
        'amongst', 'anenst', 'apropos', 'apud', 'around', 'as', 'aside', 'astride', 'at', 'athwart', 'atop', 'barring',
        'before', 'behind', 'below', 'beneath', 'beside', 'besides', 'between', 'beyond', 'but', 'by', 'circa',
        'despite', 'down', 'during', 'et', 'except', 'for', 'forenenst', 'from', 'given', 'in', 'inside', 'into',
        'lest', 'like', 'modulo', 'near', 'next', 'notwithstanding', 'of', 'off', 'on', 'onto', 'out', 'over', 'per',
        'plus', 'pro', 'qua', 'sans', 'since', 'than', 'through', 'throughout', 'thruout', 'till', 'to', 'toward',
        'towards', 'under', 'underneath', 'until', 'unto', 'up', 'upon', 'versus', 'vs.', 'v.', 'vs', 'v', 'via',
        'vis-à-vis', 'with', 'within', 'without', 'or', 'yet', 'so', 'and', 'nor', 'a', 'an', 'the', 'de', "d'", 'd’',
        'von', 'van', 'c', 'ca',
    ];

    /** Controls that nothing shuts. */
    private const SINGLE = Flat::QUOTE . Flat::UNQUOTE . Flat::INNER_QUOTE . Flat::INNER_UNQUOTE
        . Flat::EDGE . Flat::STAYS . Flat::TAIL . Flat::INNER_TAIL . Flat::DATED;

    /** @var array<string, true> */
    private static array $small = [];

    public static function of(string $text, string $case, bool $isEnglish, string $language = ''): string
    {
        // Turkish and its kin have an i with a dot and one without, small and large.
        if (preg_match('/\A(?:tr|az)\b/', $language) === 1) {
            $text = match ($case) {
                'uppercase' => strtr($text, ['i' => 'İ', 'ı' => 'I']),
                'lowercase' => strtr($text, ['I' => 'ı', 'İ' => 'i']),
                'capitalize-first' => (string) preg_replace('/\A([\x01-\x1F]*)i(?=\p{Ll}*(?!\p{L}))/u', '$1İ', $text),
                default => $text,
            };
        }

        return match ($case) {
            'lowercase' => self::kept($text, static fn(string $t): string => mb_strtolower($t)),
            'uppercase' => self::kept($text, static fn(string $t): string => mb_strtoupper($t)),
            'capitalize-first' => self::first($text),
            'capitalize-all' => self::all($text),
            'title' => $isEnglish ? self::title($text) : $text,
            'sentence' => self::sentence($text),
            default => $text,
        };
    }

    /** @param \Closure(string): string $change */
    private static function kept(string $text, \Closure $change): string
    {
        if (!str_contains($text, Flat::AS_IT_IS)) {
            return $change($text);
        }
        $out = '';
        foreach (self::pieces($text) as [$piece, $stays]) {
            $out .= $stays ? $piece : $change($piece);
        }

        return $out;
    }

    /** @return list<array{string, bool}> runs, and whether they stay as they are; a control character is a run of its own */
    private static function pieces(string $text): array
    {
        $out = [];
        $stack = [];
        $stays = 0;
        foreach (Flat::pieces($text) as $piece) {
            if (Flat::isText($piece)) {
                $out[] = [$piece, $stays > 0];

                continue;
            }
            if ($piece === Flat::SHUT || $piece === Flat::END) {
                $stays -= array_pop($stack) ?? 0;
            } elseif (!str_contains(self::SINGLE, $piece)) {
                $keeps = \in_array($piece, [Flat::AS_IT_IS, Flat::RAISED, Flat::LOWERED, Flat::OWN_SMALL_CAPS], true) ? 1 : 0;
                $stack[] = $keeps;
                $stays += $keeps;
            }
            $out[] = [$piece, true];
        }

        return $out;
    }

    /** With a capital first letter. */
    public static function raised(string $text): string
    {
        return ctype_alpha($text[0] ?? '') ? ucfirst($text) : mb_strtoupper(mb_substr($text, 0, 1)) . mb_substr($text, 1);
    }

    private static function first(string $text): string
    {
        $out = '';
        $done = false;
        foreach (self::pieces($text) as [$piece, $stays]) {
            if (!$done && Flat::isText($piece)) {
                $done = true;
                // A word with a capital of its own, as iBoat has, stays.
                $word = preg_match('/\A\p{L}*/u', $piece, $m) === 1 ? $m[0] : '';
                $piece = $stays || mb_strtolower($word) !== $word ? $piece : self::raised($piece);
            }
            $out .= $piece;
        }

        return $out;
    }

    private static function all(string $text): string
    {
        return self::kept(
            $text,
            static fn(string $t): string => (string) preg_replace_callback(
                // A word with a capital of its own, as iBoat has, stays.
                '/(?<![^\s\x01-\x1C-])\p{Ll}[^\s\x01-\x1C-]*/u',
                static fn(array $m): string => mb_strtolower($m[0]) === $m[0] ? self::raised($m[0]) : $m[0],
                $t,
            ),
        );
    }

    private static function sentence(string $text): string
    {
        $plain = Flat::plain($text);
        $isAllCapitals = mb_strtoupper($plain) === $plain;
        $first = true;
        $out = '';
        foreach (self::pieces($text) as [$piece, $stays]) {
            if (Flat::isText($piece) && !$stays) {
                $piece = $isAllCapitals ? mb_strtolower($piece) : $piece;
            }
            if (Flat::isText($piece) && $first) {
                $first = false;
                $piece = $stays ? $piece : self::raised($piece);
            }
            $out .= $piece;
        }

        return $out;
    }

    private static function title(string $text): string
    {
        self::$small = self::$small ?: array_fill_keys(self::SMALL, true);
        $plain = Flat::plain($text);
        $isAllCapitals = mb_strtoupper($plain) === $plain && preg_match('/\p{L}/u', $plain) === 1;
        $pieces = self::pieces($text);
        $words = [];
        foreach ($pieces as $p => [$piece, $stays]) {
            if (Flat::isText($piece)) {
                foreach (preg_split('/([\s\/\-–—]+)/u', $piece, -1, PREG_SPLIT_DELIM_CAPTURE) ?: [] as $w => $word) {
                    $words[] = [$word, $stays || $w % 2 === 1, $w % 2 === 1];
                }
            } else {
                $words[] = [$piece, true, null];
            }
        }
        $last = \count($words) - 1;
        while ($last > 0 && ($words[$last][2] !== false || preg_match('/[\p{L}\p{N}]/u', $words[$last][0]) !== 1)) {
            --$last;
        }
        $out = '';
        $begins = true;
        foreach ($words as $i => [$word, $stays, $isGap]) {
            if ($isGap !== false || $word === '') {
                $begins = $begins || ($isGap === true && $word !== ' ' && preg_match('/\s[–—]|[–—]\s|—/u', $word) === 1);
                $out .= $word;

                continue;
            }
            $word = $stays ? $word : self::word($word, $isAllCapitals, !$begins && $i !== $last && !str_contains('?!', $word[-1]));
            // A stop ends a sentence, unless it ends a short form.
            $begins = str_contains(':?!', $word[-1]) || ($word[-1] === '.' && mb_strlen($word) > 4);
            $out .= $word;
        }

        return $out;
    }

    /** @param bool $isWithin whether it is neither the first nor the last, so that a small one stays small */
    private static function word(string $word, bool $isAllCapitals, bool $isWithin): string
    {
        $low = self::lowered($word);
        $word = $isAllCapitals ? $low : $word;
        if ($isWithin && (isset(self::$small[$low]) || isset(self::$small[trim($low, '“”"\'‘’()[],.;:!?')]))) {
            return $low === $word || ucfirst($low) === $word ? $low : $word;
        }
        if ($low !== $word) {
            return $word;
        }

        return ctype_lower($word[0]) ? ucfirst($word) : (string) preg_replace_callback(
            '/\A([^\p{L}\p{N}]*)(\p{Ll})/u',
            static fn(array $m): string => $m[1] . mb_strtoupper($m[2]),
            $word,
        );
    }

    /** A word in small letters. */
    public static function lowered(string $word): string
    {
        return ctype_alnum($word) ? strtolower($word) : mb_strtolower($word);
    }
}
