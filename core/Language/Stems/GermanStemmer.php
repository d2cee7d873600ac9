<?php

declare(strict_types=1);

namespace Embrel\Language\Stems;

/** German, snowballstem.org/algorithms/german/stemmer.html; umlauts become their vowel at the end, as there. */
final class GermanStemmer extends Stemmer
{
    protected const LETTERS = ['ä' => "\x01", 'ö' => "\x02", 'ü' => "\x03", 'ß' => 'ss'];
    private const VOWELS = "aeiouy\x01\x02\x03";

    protected function shortened(string $word): string
    {
        $v = self::VOWELS;
        // A u or y between vowels is none, and written large.
        $word = (string) preg_replace_callback("/(?<=[{$v}])[uy](?=[{$v}])/", static fn(array $m): string => strtoupper($m[0]), $word);
        $first = \strlen($word) < 3 ? \strlen($word) : self::region($word, $v);
        $r1 = max(3, $first);
        $r2 = self::region($word, $v, $first);
        $word = self::step3(self::step2(self::step1($word, $r1), $r1), $r1, $r2);

        return strtr(strtolower($word), ["\x01" => 'a', "\x02" => 'o', "\x03" => 'u']);
    }

    private static function step1(string $word, int $r1): string
    {
        $ending = self::ending($word, 'ern|em|er|en|es|e|s');
        $stem = $ending === null ? $word : substr($word, 0, -\strlen($ending));
        if ($ending === null || \strlen($stem) < $r1 || ($ending === 's' && preg_match('/[bdfghklmnrt]\z/', $stem) !== 1)) {
            return $word;
        }

        // Of “-nisse” one s is left.
        return \in_array($ending, ['e', 'en', 'es'], true) && str_ends_with($stem, 'niss') ? substr($stem, 0, -1) : $stem;
    }

    private static function step2(string $word, int $r1): string
    {
        $ending = self::ending($word, 'est|en|er|st');
        $stem = $ending === null ? $word : substr($word, 0, -\strlen($ending));

        return $ending === null || \strlen($stem) < $r1 || ($ending === 'st' && preg_match('/...[bdfghklmnt]\z/s', $stem) !== 1)
            ? $word
            : $stem;
    }

    private static function step3(string $word, int $r1, int $r2): string
    {
        $ending = self::ending($word, 'isch|lich|heit|keit|end|ung|ig|ik');
        $stem = $ending === null ? $word : substr($word, 0, -\strlen($ending));
        if ($ending === null || \strlen($stem) < $r2) {
            return $word;
        }

        return match ($ending) {
            'end', 'ung' => self::without($stem, '/(?<!e)ig\z/', $r2),
            'lich', 'heit' => self::without($stem, '/e[rn]\z/', $r1),
            'keit' => self::without($stem, '/(?:lich|ig)\z/', $r2),
            default => str_ends_with($stem, 'e') ? $word : $stem,
        };
    }

    /** Without an ending too that stands in a region. */
    private static function without(string $stem, string $ending, int $region): string
    {
        return preg_match($ending, $stem, $m, PREG_OFFSET_CAPTURE) === 1 && $m[0][1] >= $region ? substr($stem, 0, $m[0][1]) : $stem;
    }
}
