<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl;

/**
 * Text on its way to print. What a style says of it stands between control characters, which no text of a
 * writer's can hold: one that opens, and SHUT for the last that is open. Marks that meet where two pieces are
 * joined become what a reader expects (CSL 1.0.2, “Punctuation”).
 */
final class Flat
{
    public const SHUT = "\x02";

    // What a style asks for: italic within italic stays italic.
    public const ITALIC = "\x01";
    public const UPRIGHT = "\x03";
    public const BOLD = "\x04";
    public const LIGHT = "\x05";
    public const SMALL_CAPS = "\x06";
    public const NO_SMALL_CAPS = "\x07";
    public const UNDERLINE = "\x08";
    public const NO_UNDERLINE = "\x0B";
    public const RAISED = "\x0C";
    public const LOWERED = "\x0E";
    public const ON_THE_LINE = "\x0F";

    // What a writer set apart in a field: italic within italic is upright.
    public const OWN_ITALIC = "\x10";
    public const OWN_BOLD = "\x11";
    public const OWN_SMALL_CAPS = "\x12";
    public const AS_IT_IS = "\x13";

    public const QUOTE = "\x14";
    public const UNQUOTE = "\x15";
    public const INNER_QUOTE = "\x16";
    public const INNER_UNQUOTE = "\x17";

    // Blocks of an entry.
    public const LEFT_MARGIN = "\x18";
    public const RIGHT_INLINE = "\x19";
    public const BLOCK = "\x1A";
    public const INDENT = "\x1B";

    /** After a mark that a date has behind it: no stop meets it. Two behind a number, which keeps it at the end of an entry too. */
    public const DATED = "\x1C";
    public const COUNTED = self::DATED . self::DATED;

    /** Around what is set apart as one: its marks do not meet those beside it. Two end a group: what stands between meets it. */
    public const EDGE = "\x1D";
    public const GROUP_EDGE = self::EDGE . self::EDGE;

    /** Where a block ends. */
    public const END = "\x1E";

    /** Beside a space that is part of what is said, and stays. */
    public const STAYS = "\x1F";

    /** Where what is cited of a source is put at the end: no character that text may have (Unicode 15, 23.7). */
    public const PLACE = "\u{FDD0}";

    /**
     * After a mark that a single value has behind it; and the same once a group is around it, or where a mark stands
     * for a stop too.
     */
    public const TAIL = "\x0D";
    public const INNER_TAIL = "\x0A";

    public const CONTROLS = "\x0D\x0A\x01\x02\x03\x04\x05\x06\x07\x08\x0B\x0C\x0E\x0F\x10\x11\x12\x13\x14\x15\x16\x17\x18\x19\x1A\x1B\x1C\x1D\x1E\x1F";

    /** What ends with a mark that a value has behind it, within quotation marks also a comma. */
    public const ENDED = '/\s*(?:[;:]|,(?=[\x15\x17]))[\x15\x17]*[\x0D\x0A]\z/';

    /** Two marks that meet → what stays of them; all others stay both. */
    private const MEET = [
        '!' => ['!' => '!', '.' => '!', ':' => '!'],
        '?' => ['?' => '?', '.' => '?', ':' => '?'],
        '.' => ['.' => '.'],
        ':' => [':' => ':', '!' => '!', '?' => '?', '.' => ':'],
        ',' => [',' => ','],
        ';' => [';' => ';', '!' => '!', '?' => '?', ':' => ';', '.' => ';'],
        ' ' => [' ' => ' '],
    ];

    /** What may meet something: our own characters, and the marks of MEET. Nothing meets any other, whatever stands beside it. */
    private const LOUD = self::MEET + [
        "\x00" => 1, "\x01" => 1, "\x02" => 1, "\x03" => 1, "\x04" => 1, "\x05" => 1, "\x06" => 1, "\x07" => 1,
        "\x08" => 1, "\x09" => 1, "\x0A" => 1, "\x0B" => 1, "\x0C" => 1, "\x0D" => 1, "\x0E" => 1, "\x0F" => 1,
        "\x10" => 1, "\x11" => 1, "\x12" => 1, "\x13" => 1, "\x14" => 1, "\x15" => 1, "\x16" => 1, "\x17" => 1,
        "\x18" => 1, "\x19" => 1, "\x1A" => 1, "\x1B" => 1, "\x1C" => 1, "\x1D" => 1, "\x1E" => 1, "\x1F" => 1,
    ];

    /**
     * @param bool $inside    whether a stop or comma goes within the quotation marks before it, as the locale says
     * @param bool $isBetween whether the second is what stands between two elements of a group
     */
    public static function join(string $a, string $b, bool $inside, bool $isBetween = false): string
    {
        if ($a === '' || $b === '') {
            return $a . $b;
        }
        $end = $a[-1];
        if (!isset(self::LOUD[$end]) || ($end >= ' ' && !isset(self::LOUD[$b[0]]))) {
            return $a . $b;
        }
        $isTail = $isBetween && $end === self::TAIL && !str_contains(self::UNQUOTE . self::INNER_UNQUOTE, $a[-2] ?? ' ');
        $isDated = $b[0] === '.' && ($end === self::DATED || $isTail);
        if ($isDated || $end === self::STAYS || $b[0] === self::STAYS) {
            return $a . $b;
        }
        $alone = $end === self::EDGE;
        $isGroup = $alone && str_ends_with($a, self::GROUP_EDGE);
        if ($alone) {
            $a = rtrim($a, self::EDGE);
        }
        $at = \strlen($a) - 1;
        while ($at > 0 && $a[$at] < ' ') {
            --$at;
        }
        $from = strspn($b, self::CONTROLS);
        $mark = $b[$from] ?? '';
        $last = $a[$at];
        $quote = strcspn($a, self::UNQUOTE . self::INNER_UNQUOTE, $at);
        $isQuoted = $quote < \strlen($a) - $at;
        // What is set apart meets only what stands between it and the next, and only its like.
        if ($alone ? !$isBetween || ($mark !== $last && !$isQuoted && !$isGroup) : $b[0] === self::EDGE && $mark !== $last) {
            return $a . $b;
        }
        $asks = $last === '?' || $last === '!';
        if ($asks && $mark === ':' && $end === self::INNER_TAIL) {
            return $a . $b;
        }
        $stays = self::MEET[$last][$mark] ?? null;
        if ($stays !== null) {
            // A question mark that stands for a stop too leaves the colon behind that stop.
            $tail = $asks && $b === '.' ? self::INNER_TAIL : '';

            return ($stays === $last ? $a : substr_replace($a, $stays, $at, 1)) . substr_replace($b, '', $from, 1) . $tail;
        }

        return $inside && $isQuoted && ($mark === '.' || $mark === ',')
            ? substr_replace($a, $mark, $at + $quote, 0) . substr_replace($b, '', $from, 1)
            : $a . $b;
    }

    /** @param list<string> $pieces */
    public static function row(array $pieces, string $between, bool $inside): string
    {
        $out = '';
        foreach ($pieces as $piece) {
            if ($out === '') {
                $out = $piece;
            } elseif ($piece !== '') {
                $isLoud = isset(self::LOUD[$out[-1]]) || isset(self::LOUD[$piece[0]]);
                $out = $isLoud ? self::next($out, $piece, $between, $inside) : $out . $between . $piece;
            }
        }

        return $out;
    }

    private static function next(string $a, string $b, string $between, bool $inside): string
    {
        if ($between === '') {
            return self::join($a, $b, $inside);
        }
        if ($between[0] === '.' && str_ends_with($a, self::INNER_TAIL) && preg_match(self::ENDED, $a, $m) === 1) {
            return self::beside(self::stopped($a, $m[0], $inside) . substr($between, 1), $b);
        }

        return self::beside(self::join($a, $between, $inside, true), $b);
    }

    /** What follows a delimiter: a mark that is the same stands for both. */
    private static function beside(string $a, string $b): string
    {
        if ($a === '' || $b === '' || !isset(self::LOUD[$a[-1]]) || !isset(self::LOUD[$b[0]]) || $b[0] === self::STAYS) {
            return $a . $b;
        }
        $from = strspn($b, self::CONTROLS);
        $mark = $b[$from] ?? '';

        return $mark === $a[-1] && isset(self::MEET[$mark]) ? $a . substr_replace($b, '', $from, 1) : $a . $b;
    }

    /** What ends with the mark behind a number: no stop meets it; behind words in its place it is like any other. */
    public static function counted(string $text, string $value): string
    {
        return str_ends_with($text, self::TAIL) ? substr($text, 0, -1) . (Numbers::isNumeric($value) ? self::COUNTED : '') : $text;
    }

    /** A stop goes before the mark that a value within has behind it. */
    public static function stopped(string $text, string $tail, bool $inside): string
    {
        return self::join(substr($text, 0, -\strlen($tail)), '.', $inside) . $tail;
    }

    /** Without the edges of what is first and last: the text of a group. */
    public static function open(string $text): string
    {
        // Nothing of ours at either end.
        if ($text === '' || ($text[0] >= ' ' && $text[-1] >= ' ')) {
            return $text;
        }
        $text = trim($text, self::EDGE);

        return str_ends_with($text, self::TAIL) ? substr($text, 0, -1) . self::INNER_TAIL : $text;
    }

    /** @return list<string> runs of text, and each control character by itself */
    public static function pieces(string $text): array
    {
        return preg_split('/([\x01-\x08\x0A-\x1F])/', $text, -1, PREG_SPLIT_DELIM_CAPTURE | PREG_SPLIT_NO_EMPTY) ?: [];
    }

    public static function isText(string $piece): bool
    {
        return $piece[0] >= ' ' || $piece[0] === "\t";
    }

    /** Whether nothing but our characters stands behind a quotation mark that ends a text. */
    public static function endsQuoted(string $text): bool
    {
        return strpbrk(substr($text, \strlen(rtrim($text, self::CONTROLS))), self::UNQUOTE . self::INNER_UNQUOTE) !== false;
    }

    /** What is left where nothing is set apart. */
    public static function plain(string $text): string
    {
        return strpbrk($text, self::CONTROLS) === false ? $text : (string) preg_replace('/[\x01-\x08\x0A-\x1F]/', '', $text);
    }
}
