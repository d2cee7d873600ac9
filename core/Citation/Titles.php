<?php

declare(strict_types=1);

namespace Embrel\Citation;

/** Titles in the capitals that a style wants: English ones only; those of other languages stay as they are. */
final class Titles
{
    private const SMALL = [
        'a',
        'an',
        'the',
        'and',
        'but',
        'or',
        'nor',
        'for',
        'as',
        'if',
        'at',
        'by',
        'in',
        'of',
        'off',
        'on',
        'per',
        'to',
        'up',
        'via',
        'about',
        'above',
        'across',
        'after',
        'against',
        'along',
        'among',
        'around',
        'before',
        'behind',
        'below',
        'beneath',
        'beside',
        'between',
        'beyond',
        'down',
        'during',
        'except',
        'from',
        'inside',
        'into',
        'like',
        'near',
        'onto',
        'out',
        'outside',
        'over',
        'past',
        'since',
        'through',
        'throughout',
        'toward',
        'towards',
        'under',
        'until',
        'upon',
        'with',
        'within',
        'without',
    ];
    private const WORDS = '/[\p{L}\p{N}][\p{L}\p{N}\'’]*/u';
    private const ARTICLE = '/\A(?:(?:the|an?|der|die|das|eine?)\s+|l[\'’])(?=\S)/iu';

    /** Capital for the first word, the first of the subtitle, and names. */
    public static function sentence(string $title, string $capitals = ''): string
    {
        $kept = self::kept($capitals);
        $lowers = self::isHeadline($title);
        $isCapitals = mb_strtoupper($title) === $title;
        $last = 0;

        return preg_replace_callback(
            self::WORDS,
            static function (array $m) use ($title, $kept, $lowers, $isCapitals, &$last): string {
                [$word, $at] = $m[0];
                $isFirst
                    = $at === 0
                    || preg_match('/[:?!.–—]["“‘«(]*\s["“‘«(]*\z/u', substr($title, $last, $at - $last)) === 1
                    || trim(substr($title, 0, $at), " \"'(\xE2\x80\x9C\x98") === '';
                $last = $at + \strlen($word);
                if (isset($kept[mb_strtolower($word)])) {
                    return $kept[mb_strtolower($word)];
                }
                $word = $isCapitals || ($lowers && !self::isOfItsOwn($word)) ? mb_strtolower($word) : $word;

                return $isFirst ? self::raised($word) : $word;
            },
            $title,
            -1,
            $count,
            PREG_OFFSET_CAPTURE,
        ) ?? $title;
    }

    /**
     * Capitals for all words but articles, conjunctions and prepositions; the first and the last, of the title and
     * of its parts, have one always.
     */
    public static function headline(string $title, string $capitals = ''): string
    {
        $kept = self::kept($capitals);
        $isCapitals = mb_strtoupper($title) === $title;
        preg_match_all(self::WORDS, $title, $words);
        $end = \count($words[0]) - 1;
        $n = -1;
        $last = 0;

        return preg_replace_callback(
            self::WORDS,
            static function (array $m) use ($title, $kept, $isCapitals, $end, &$n, &$last): string {
                [$word, $at] = $m[0];
                ++$n;
                $between = substr($title, $last, $at - $last);
                $last = $at + \strlen($word);
                $plain = mb_strtolower($word);
                if (isset($kept[$plain])) {
                    return $kept[$plain];
                }
                if (!$isCapitals && self::isOfItsOwn($word)) {
                    return $word;
                }

                return \in_array($plain, self::SMALL, true)
                    && $n > 0
                    && $n < $end
                    && preg_match('/[:?!.–—]/u', $between) !== 1
                    && preg_match('/\A["”’)]*[:?!.]/u', substr($title, $last, 12)) !== 1
                    ? $plain
                    : self::raised($isCapitals ? $plain : $word);
            },
            $title,
            -1,
            $count,
            PREG_OFFSET_CAPTURE,
        ) ?? $title;
    }

    /** What is before a colon, without the article in front, and no more than four words of it. */
    public static function short(string $title): string
    {
        $main = preg_split('/\s*[:?!]\s+|\s+[–—]\s+/u', $title, 2)[0] ?? $title;
        $words = explode(' ', self::withoutArticle($main));

        return \count($words) <= 4
            ? implode(' ', $words)
            : rtrim(implode(' ', \array_slice($words, 0, \in_array(mb_strtolower($words[3]), self::SMALL, true) ? 3 : 4)), ',;');
    }

    /** As it is found in the alphabet. */
    public static function withoutArticle(string $title): string
    {
        return preg_replace(self::ARTICLE, '', $title) ?? $title;
    }

    /** Whether it is set with capitals throughout, but for small words, so that those say nothing of its words. */
    private static function isHeadline(string $title): bool
    {
        preg_match_all('/(?<=\s)\p{Ll}{4,}/u', $title, $words);

        return array_diff($words[0], self::SMALL) === [];
    }

    /** A word that has capitals within, or digits: DNA, McKay, 4H. */
    private static function isOfItsOwn(string $word): bool
    {
        return $word === 'I' || preg_match('/.\p{Lu}|\d/u', $word) === 1 || preg_match("/\\AI['’]/u", $word) === 1;
    }

    private static function raised(string $word): string
    {
        return mb_strtoupper(mb_substr($word, 0, 1)) . mb_substr($word, 1);
    }

    /** @return array<string, string> */
    private static function kept(string $capitals): array
    {
        if ($capitals === '') {
            return [];
        }
        preg_match_all(self::WORDS, $capitals, $words);
        $kept = [];
        foreach ($words[0] as $word) {
            $kept[mb_strtolower($word)] = $word;
        }

        return $kept;
    }
}
