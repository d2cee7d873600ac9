<?php

declare(strict_types=1);

namespace Embrel;

/**
 * Word counts as a word processor shows them: a word is a run between Unicode white space that
 * holds a letter or a digit. Only scripts written without spaces are divided by ICU.
 */
final class Words
{
    /** A word as an index holds one: letters and digits, with an apostrophe between letters. */
    private const ONE = "/[\\p{L}\\p{N}][\\p{L}\\p{M}\\p{N}]*+(?:['’]\\p{L}++)?/u";
    private const ASCII_ONE = "/[A-Za-z0-9]++(?:'[A-Za-z]++)?/";
    /** Whether there is a letter of a script that is written without spaces. */
    private const HAS_UNSPACED
        = '/[\x{0E00}-\x{0EFF}\x{1000}-\x{109F}\x{1780}-\x{17FF}\x{2E80}-\x{30FF}\x{3400}-\x{9FFF}\x{F900}-\x{FAFF}\x{20000}-\x{3FFFF}]/u';
    private const UNSPACED = '[\p{Han}\p{Hiragana}\p{Katakana}\p{Thai}\p{Lao}\p{Khmer}\p{Myanmar}\x{30FC}]+';
    /** Possessive, and anchored at the start of a run: linear on any input. */
    private const RUN = '/(?<![^\p{Z}\s])[^\p{Z}\s\p{L}\p{Nd}]*+[\p{L}\p{Nd}]/u';
    /** The same for text in ASCII, which is most of it, and several times as quick. */
    private const ASCII_RUN = '/(?<!\S)[^\sA-Za-z0-9]*+[A-Za-z0-9]/';

    /** The words of a text in UTF-8; 0 for what is not UTF-8. */
    public static function in(string $text): int
    {
        if (preg_match('/[\x80-\xFF]/', $text) !== 1) {
            return (int) preg_match_all(self::ASCII_RUN, $text);
        }
        $unspaced = 0;
        if (self::areUnspaced($text)) {
            $text
                = preg_replace_callback(
                    '/' . self::UNSPACED . '/u',
                    static function (array $run) use (&$unspaced): string {
                        $unspaced += self::byDictionary($run[0]);

                        return ' ';
                    },
                    $text,
                ) ?? $text;
        }

        return $unspaced + (int) preg_match_all(self::RUN, $text);
    }

    /**
     * The words of a text, as they stand there and in their order, without what stands around them; where they are
     * written without spaces, as ICU divides them. Of what is not UTF-8 there are none.
     *
     * @return array<int, string> where each begins, in bytes → word
     */
    public static function of(string $text): array
    {
        $isAscii = preg_match('/[\x80-\xFF]/', $text) !== 1;
        preg_match_all($isAscii ? self::ASCII_ONE : self::ONE, $text, $m, PREG_OFFSET_CAPTURE);
        $words = array_column($m[0], 0, 1);
        if ($isAscii || !self::areUnspaced($text)) {
            return $words;
        }
        $divided = [];
        foreach ($words as $at => $word) {
            $divided += self::areUnspaced($word) ? self::divided($word, $at) : [$at => $word];
        }

        return $divided;
    }

    /** Whether a text has words of scripts that are written without spaces. */
    public static function areUnspaced(string $text): bool
    {
        return preg_match(self::HAS_UNSPACED, $text) === 1;
    }

    /** @return array<int, string> */
    private static function divided(string $text, int $from): array
    {
        $breaks = \IntlBreakIterator::createWordInstance('en');
        if (!($breaks instanceof \IntlRuleBasedBreakIterator)) {
            return [$from => $text];
        }
        $breaks->setText($text);
        $words = [];
        for ($at = 0; ($next = $breaks->next()) !== \IntlBreakIterator::DONE; $at = $next) {
            $words[$from + $at] = substr($text, $at, $next - $at);
        }

        return $words;
    }

    private static function byDictionary(string $text): int
    {
        $breaks = \IntlBreakIterator::createWordInstance('en');
        if (!($breaks instanceof \IntlRuleBasedBreakIterator)) {
            return 1;
        }
        $breaks->setText($text);
        $words = 0;
        while ($breaks->next() !== \IntlBreakIterator::DONE) {
            $words += $breaks->getRuleStatus() >= \IntlBreakIterator::WORD_NONE_LIMIT ? 1 : 0;
        }

        return $words;
    }
}
