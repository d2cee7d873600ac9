<?php

declare(strict_types=1);

namespace Embrel\RichText;

/** The inlines of a paragraph as single words, compared and joined. */
final class WordByWord
{
    /** Scripts without spaces go sign by sign, else runs of letters are words. */
    private const SIGN = '[\p{Han}\p{Hiragana}\p{Katakana}\p{Thai}\p{Lao}\p{Khmer}]';
    private const WORD = '/' . self::SIGN . '|(?:(?!' . self::SIGN . ')[\p{L}\p{N}\p{M}_])+|./us';
    /** Above this many pairs of words two texts are taken to have nothing in common between what they begin and end with. */
    private const PAIRS = 1_000_000;

    /** @return list<string> words, signs and white space, one after the other; together they are the text */
    public static function split(string $text): array
    {
        preg_match_all(self::WORD, $text, $found);

        return $found[0];
    }

    /**
     * @param list<Node> $inlines
     *
     * @return list<Word>
     */
    public static function of(array $inlines): array
    {
        $words = [];
        foreach ($inlines as $node) {
            if ($node->isText()) {
                foreach (self::split($node->text) as $text) {
                    $words[] = Word::text($text, $node->marks);
                }
            } else {
                $words[] = Word::inline($node);
            }
        }

        return $words;
    }

    /**
     * @param list<Word> $words
     * @param bool       $isCode only text, without marks
     *
     * @return list<Node>
     */
    public static function inlines(array $words, bool $isCode = false): array
    {
        $inlines = [];
        foreach ($words as $word) {
            $inlines[] = !$isCode ? $word->node : Node::text($word->node->plainText(true));
        }

        return Node::runs($inlines);
    }

    /**
     * The words of both: without what either has taken out since `$base`, with what either has put in.
     *
     * @param list<Word> $base
     * @param list<Word> $theirs
     * @param list<Word> $mine
     *
     * @return list<Word>
     */
    public static function merged(array $base, array $theirs, array $mine): array
    {
        $inTheirs = self::matches($base, $theirs);
        $inMine = self::matches($base, $mine);
        $nextInTheirs = self::next($inTheirs, \count($base), \count($theirs));
        $nextInMine = self::next($inMine, \count($base), \count($mine));
        /** @var list<array{Word, int|null, int|null}> $out each with where it stands in theirs and in mine */
        $out = [];
        [$t, $m] = [0, 0];
        for ($i = 0; $i <= \count($base); $i++) {
            // Up to the next word that was kept all is new; what stands for a word that was taken out stands in its place.
            [$toTheirs, $toMine] = [$nextInTheirs[$i], $nextInMine[$i]];
            // What both have put in the place of the same word stands once; what each has only added is of each.
            $isReplaced = $i < \count($base) && !isset($inTheirs[$i]) && !isset($inMine[$i]);
            $isSame
                = $isReplaced
                && self::keys(\array_slice($theirs, $t, $toTheirs - $t)) === self::keys(\array_slice($mine, $m, $toMine - $m));
            for ($at = $t; $at < $toTheirs; $at++) {
                $out[] = [$theirs[$at], $at, $isSame ? $m + $at - $t : null];
            }
            for ($at = $m; !$isSame && $at < $toMine; $at++) {
                $out[] = [$mine[$at], null, $at];
            }
            [$t, $m] = [$toTheirs, $toMine];
            if ($i === \count($base)) {
                break;
            }
            if (isset($inTheirs[$i], $inMine[$i])) {
                $isMine = $mine[$m]->node->marks != $base[$i]->node->marks;
                $out[] = [$theirs[$t]->withMarks(($isMine ? $mine[$m] : $theirs[$t])->node->marks), $t, $m];
            }
            $t += isset($inTheirs[$i]) ? 1 : 0;
            $m += isset($inMine[$i]) ? 1 : 0;
        }

        return self::apart($out);
    }

    /**
     * For each word of the base, and its end, where the next one that was kept stands.
     *
     * @param array<int, int> $matches
     *
     * @return array<int, int>
     */
    private static function next(array $matches, int $count, int $end): array
    {
        $next = [$count => $end];
        for ($i = $count - 1; $i >= 0; $i--) {
            $next[$i] = $matches[$i] ?? $next[$i + 1];
        }

        return $next;
    }

    /**
     * What is in `$now` and was not in `$base`, stretches of it a space apart.
     *
     * @param list<Word> $base
     * @param list<Word> $now
     *
     * @return list<Word> without white space at its ends
     */
    public static function added(array $base, array $now): array
    {
        $kept = array_flip(self::matches($base, $now));
        $out = [];
        foreach ($now as $at => $word) {
            if (!isset($kept[$at])) {
                $out[] = [$word, $at, null];
            }
        }
        $words = self::apart($out);
        while ($words !== [] && trim($words[0]->node->plainText()) === '' && $words[0]->node->isText()) {
            array_shift($words);
        }
        while ($words !== [] && trim(($last = $words[\count($words) - 1])->node->plainText()) === '' && $last->node->isText()) {
            array_pop($words);
        }

        return $words;
    }

    /**
     * With a space where two words come together that stood together in neither text.
     *
     * @param list<array{Word, int|null, int|null}> $out
     *
     * @return list<Word>
     */
    private static function apart(array $out): array
    {
        $words = [];
        foreach ($out as $i => [$word, $t, $m]) {
            [$before, $beforeT, $beforeM] = $out[$i - 1] ?? [null, null, null];
            $stoodSo = ($t !== null && $beforeT === $t - 1) || ($m !== null && $beforeM === $m - 1);
            if ($before !== null && !$stoodSo && $before->isLetters && $word->isLetters) {
                $words[] = Word::space();
            }
            $words[] = $word;
        }

        return $words;
    }

    /**
     * @param list<Word> $words
     *
     * @return list<string>
     */
    private static function keys(array $words): array
    {
        return array_map(static fn(Word $word): string => $word->key, $words);
    }

    /**
     * The longest common run of words: which word of the one is which of the other.
     *
     * @param list<Word> $one
     * @param list<Word> $other
     *
     * @return array<int, int> ascending on both sides
     */
    private static function matches(array $one, array $other): array
    {
        [$one, $other] = [self::keys($one), self::keys($other)];

        return self::first($one, $other, LongestCommon::of($one, $other, self::PAIRS));
    }

    /**
     * Where a word could be either of several equal ones it is the first: what others have put in at
     * one place stands in the order in which it came, so a half written word is not a later one of theirs.
     *
     * @param list<string>    $one
     * @param list<string>    $other
     * @param array<int, int> $matches
     *
     * @return array<int, int>
     */
    private static function first(array $one, array $other, array $matches): array
    {
        $at = 0;
        foreach ($one as $i => $key) {
            if (isset($matches[$i])) {
                while ($other[$at] !== $key) {
                    $at++;
                }
                $matches[$i] = $at++;
            }
        }

        return $matches;
    }
}
