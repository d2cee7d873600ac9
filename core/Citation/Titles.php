<?php

declare(strict_types=1);

namespace Embrel\Citation;

use Embrel\Citation\Csl\TextCase;

/** English titles in sentence case, and any title shortened. Those of other languages stay as they are. */
final class Titles
{
    /** Words that say nothing of whether a title is set with capitals: those that keep a small letter in one, and their like. */
    private const SMALL = [...TextCase::SMALL, 'above', 'if', 'off', 'outside', 'past'];
    private const WORDS = '/([\p{L}\p{N}][\p{L}\p{N}\'’]*)/u';
    private const ARTICLE = '/\A(?:(?:the|an?|der|die|das|eine?)\s+|l[\'’])(?=\S)/iu';

    /** Capital for the first word, the first of the subtitle, and names. */
    public static function sentence(string $title, string $capitals = ''): string
    {
        $pieces = preg_split(self::WORDS, $title, -1, PREG_SPLIT_DELIM_CAPTURE);
        if ($pieces === false) {
            return $title;
        }
        $kept = self::kept($capitals);
        $lowers = self::isHeadline($title);
        $isCapitals = mb_strtoupper($title) === $title;
        $out = $pieces[0];
        // Words stand at the odd places, what is before and between them at the even ones.
        for ($i = 1; isset($pieces[$i]); $i += 2) {
            $word = $pieces[$i];
            $own = $kept === [] ? null : $kept[mb_strtolower($word)] ?? null;
            if ($own === null) {
                $word = $isCapitals || ($lowers && !self::isOfItsOwn($word)) ? TextCase::lowered($word) : $word;
                $word = self::isFirst($pieces[$i - 1], $i === 1) ? TextCase::raised($word) : $word;
            }
            $out .= ($own ?? $word) . $pieces[$i + 1];
        }

        return $out;
    }

    /** Whether a word is the first of a title or of what follows a colon or its like, by what stands before it. */
    private static function isFirst(string $gap, bool $isAtStart): bool
    {
        return $gap !== ' ' && (
            ($isAtStart && trim($gap, " \"'(\xE2\x80\x9C\x98") === '')
            || preg_match('/[:?!.–—]["“‘«(]*\s["“‘«(]*\z/u', $gap) === 1
        );
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

        foreach ($words[0] as $word) {
            if (!\in_array($word, self::SMALL, true)) {
                return false;
            }
        }

        return true;
    }

    /** A word that has capitals within, or digits: DNA, McKay, 4H. */
    private static function isOfItsOwn(string $word): bool
    {
        // Most have small letters behind the first.
        return !ctype_lower(substr($word, 1))
            && ($word === 'I' || preg_match('/.\p{Lu}|\d/u', $word) === 1 || preg_match("/\\AI['’]/u", $word) === 1);
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
