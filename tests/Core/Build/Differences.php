<?php

declare(strict_types=1);

namespace Tests\Core\Build;

/**
 * The kinds of differences from the reference processor that are known, and why each is left. What is told by its text
 * alone: two texts are of a kind where they are the same once what the kind is about is taken out of both.
 */
final class Differences
{
    private const OTHER = 'other';

    /** Kind → why it stays. The first that fits is the one. */
    public const REASONS = [
        'brackets' => 'the reference turns round brackets square where another closes beside them; the style asks for round ones',
        'space in a range of dates' => 'the reference loses what stands before the last part of a range (“2019 Nov–2020Feb”, “2010–accessed 2012”)',
        'space in a range of pages' => 'the reference keeps a space behind the dash of a range (“100– 04”)',
        'spaces' => 'spaces that meet: the reference prints two, or none, according to how the style’s elements are nested',
        'no-break spaces' => 'the same, of spaces at which no line ends',
        'order of cites' => 'works of the same people are drawn together wherever they stand (CSL 1.0.2, “Cite Grouping”), and keys that go '
            . 'down are sorted down (“Sorting”); the reference draws only neighbours together, and leaves such keys where names read alike',
        'capitals' => 'a title in capitals loses them in title case, a name keeps its own in sentence case, a date takes the case that is '
            . 'asked for (“Text-case”); not so the reference',
        'type' => 'a type that is asked for within another (“normal” within small capitals, any type of a date in the form of the locale)',
        'marks at quotation marks' => 'only stops and commas go within quotation marks (“Locale options”); the reference moves colons '
            . 'and semicolons too, and leaves some commas outside',
        'stops' => 'three marks in a row, of which the reference keeps two or one according to how the style’s elements are nested',
        'commas and semicolons' => 'what stands between names or cites: of bodies the reference asks another rule than of people; a cite with a word '
            . 'in the place of names it draws to the work before it (“Pell 1999, 1953”, which reads as two works of Pell’s)',
        'empty groups' => 'a group whose variables are all empty says nothing (“Group”); the reference prints its words where a choice within it '
            . 'takes no branch',
        'short addresses' => 'the reference cuts an address down to its host where a style asks for its short form; the standard has no such form',
        'letters and names that tell apart' => 'letters after years, more names, given names: the reference gives them out in another '
            . 'order or place, leaves some cites of a set alike, and has in a first cite as many names as the rule for later ones leaves',
        self::OTHER => 'single cases: places in a cite that follows one of the same work (“4 9” for “4, 9”), “1/2” taken for a number, words of '
            . 'another language where the style’s own has none',
    ];

    public static function kind(string $theirs, string $ours): string
    {
        foreach (self::without() as $kind => $bare) {
            if ($bare($theirs) === $bare($ours)) {
                return $kind;
            }
        }
        $words = static fn(string $text): array => preg_split('/[^\p{L}\p{N}]+/u', self::plain($text), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        [$a, $b] = [$words($theirs), $words($ours)];
        $added = self::less($b, $a);
        $lost = self::less($a, $b);

        return match (true) {
            $added === [] && $lost === [] => 'order of cites',
            $added === [] && \count($lost) < 6 && preg_grep('/\d|\A\p{L}\z/u', $lost) === [] => 'empty groups',
            self::areLetters([...$added, ...$lost]) => 'letters and names that tell apart',
            \count($a) + \count($b) < 400 && self::areNames([...$added, ...$lost]) => 'letters and names that tell apart',
            default => self::OTHER,
        };
    }

    /** @return array<string, \Closure(string): string> kind → what leaves out all that it is about */
    private static function without(): array
    {
        $cut = static fn(string ...$patterns): \Closure => static fn(string $text): string => (string) preg_replace($patterns, '', $text);
        $cites = static function (string $text): string {
            $parts = preg_split('/[;,]\s*/', trim(self::plain($text), '(). ')) ?: [];
            sort($parts);

            return implode(';', $parts);
        };

        return [
            'short addresses' => static fn(string $text): string => (string) preg_replace(
                '~(https?://[^/\s]+)/[^\s,;|]*?(?=[.,;]?(?:[\s|]|\z))~',
                '$1',
                $text,
            ),
            'brackets' => static fn(string $text): string => strtr($text, '[]', '()'),
            'space in a range of dates' => $cut('/(?<=–)\S*\(?[^–]*accessed in |(?<=[–\-]\d{4})(?: |(?=\p{L}))|(?<=–)(?:\p{L}+\.?|\d{1,2})\K ?(?=[\p{L}\d])/u'),
            'space in a range of pages' => $cut('/(?<=[–‑-]) (?=\d)/u'),
            'no-break spaces' => $cut('/[\x{A0}\x{202F}]/u'),
            'spaces' => $cut('/[\s\x{A0}\x{202F}]+/u'),
            'type' => self::plain(...),
            'capitals' => static fn(string $text): string => mb_strtolower(self::plain($text)),
            'marks at quotation marks' => static fn(string $text): string => preg_match('/[“”‘’«»„]/u', $text) === 1
                ? (string) preg_replace('/[“”‘’«»„]|[.,:;!? ]+(?=[”’»“])|(?<=[”’»“])[.,:;!? ]+/u', '', self::plain($text))
                : "\0{$text}",
            'stops' => $cut('/\./'),
            'commas and semicolons' => $cut('/[,;]/'),
            'order of cites' => $cites,
        ];
    }

    private static function plain(string $text): string
    {
        return (string) preg_replace(['/\{\d+\}/', '/ {2,}/'], ['', ' '], $text);
    }

    /**
     * @param list<string> $words
     * @param list<string> $others
     *
     * @return list<string> the words that the others have not
     */
    private static function less(array $words, array $others): array
    {
        $left = array_count_values($others);

        return array_values(array_filter($words, static function (string $word) use (&$left): bool {
            $left[$word] = ($left[$word] ?? 0) - 1;

            return $left[$word] < 0;
        }));
    }

    /** @param list<string> $words */
    private static function areLetters(array $words): bool
    {
        return preg_grep('/\A(?:\d{4}\p{L}{0,2}|\p{L}{1,2})\z/u', $words, PREG_GREP_INVERT) === [];
    }

    /** @param list<string> $words */
    private static function areNames(array $words): bool
    {
        return preg_grep('/\A\p{Lu}|\A(?:et|al|and|others|\d{4}\p{L}{0,2}|\p{L}{1,3})\z/u', $words, PREG_GREP_INVERT) === [];
    }
}
