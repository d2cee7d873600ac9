<?php

declare(strict_types=1);

namespace Embrel\Language;

/** A text divided into its sentences: behind what ends one, unless that only ends an abbreviation, an initial or, in German, an ordinal. */
final class Sentences
{
    /** What ends a sentence, what may close behind it, and a beginning; in scripts without spaces nothing need be between. */
    private const END = '/(?<=[.!?…])["”“’»)\]]*+\K\s+(?=["“„«»‘(\[¿¡]?[\p{Lu}\p{Lo}\p{N}])|(?<=[。！？])[”」』）]?\K(?=.)|\n+/u';
    private const ABBREVIATIONS = [
        ...['dr', 'prof', 'mr', 'mrs', 'ms', 'st', 'sr', 'jr', 'no', 'nr', 'vol', 'ed', 'eds', 'p', 'pp', 'ch', 'fig', 'cf', 'ca', 'c', 'vs', 'al'],
        ...['approx', 'e.g', 'i.e', 'etc', 'vgl', 'bzw', 'usw', 'ggf', 'evtl', 'sog', 'hrsg', 'hg', 'bd', 'abb', 'kap', 'jh', 'jhd', 's', 'u.a', 'z.b', 'd.h'],
    ];

    /** @return list<string> each without space around it */
    public static function of(string $text, string $language): array
    {
        $isGerman = str_starts_with(strtolower($language), 'de');
        $sentences = [];
        $open = '';
        foreach (preg_split(self::END, $text, flags: PREG_SPLIT_OFFSET_CAPTURE) ?: [] as [$part, $at]) {
            $isNewLine = $at > 0 && str_contains(substr($text, max(0, $at - 1), 1), "\n");
            if ($open !== '' && ($isNewLine || !self::isOpen($open, $isGerman))) {
                $sentences[] = trim($open);
                $open = '';
            }
            $open = $open === '' ? $part : "{$open} {$part}";
        }
        $sentences[] = trim($open);

        return array_values(array_filter($sentences, static fn(string $one): bool => $one !== ''));
    }

    /** Whether the stop at the end of a text ends no sentence. */
    private static function isOpen(string $text, bool $isGerman): bool
    {
        if (preg_match('/(?:\A|[\s("„“])((?:\p{L}{1,6}\.\s?)*\p{L}{1,6}|\d{1,2})\.\z/u', $text, $m) !== 1) {
            return false;
        }
        $word = mb_strtolower((string) preg_replace('/\s/', '', $m[1]));

        return ctype_digit($word)
            ? $isGerman
            : mb_strlen($word) === 1 || \in_array($word, self::ABBREVIATIONS, true) || preg_match('/\A(?:\p{L}\.)+\p{L}\z/u', $word) === 1;
    }
}
