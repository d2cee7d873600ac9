<?php

declare(strict_types=1);

namespace Embrel;

/**
 * Word counts as a word processor shows them: a word is a run between Unicode white space that
 * holds a letter or a digit. Only scripts written without spaces are divided by ICU.
 */
final class Words
{
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
        if (
            preg_match(
                '/[\x{0E00}-\x{0EFF}\x{1000}-\x{109F}\x{1780}-\x{17FF}\x{2E80}-\x{30FF}\x{3400}-\x{9FFF}\x{F900}-\x{FAFF}\x{20000}-\x{3FFFF}]/u',
                $text,
            ) === 1
        ) {
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
