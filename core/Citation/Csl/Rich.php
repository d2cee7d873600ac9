<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl;

/** The text of a field: its few tags and its quotation marks become what Flat knows, so that both can turn within others. */
final class Rich
{
    private const TAGS = [
        '<i>' => Flat::OWN_ITALIC,
        '<b>' => Flat::OWN_BOLD,
        '<sup>' => Flat::RAISED,
        '<sub>' => Flat::LOWERED,
        '<sc>' => Flat::OWN_SMALL_CAPS,
        '<span class="nocase">' => Flat::AS_IT_IS,
        '<span style="font-variant:small-caps;">' => Flat::OWN_SMALL_CAPS,
        '<span style="font-variant: small-caps;">' => Flat::OWN_SMALL_CAPS,
    ];

    /** Without control characters, which are ours, and without bytes that are no text. */
    public static function clean(string $text): string
    {
        return !ctype_print($text) && (preg_match('/[\x00-\x1F\x7F]/', $text) === 1 || !mb_check_encoding($text, 'UTF-8'))
            ? trim((string) preg_replace(['/[\t\n\r]+/', '/[\x00-\x1F\x7F]/'], [' ', ''], mb_scrub($text)))
            : $text;
    }

    private const RAISED = [
        'ª' => 'a', 'º' => 'o', 'ᵃ' => 'a', 'ᵇ' => 'b', 'ᶜ' => 'c', 'ᵈ' => 'd', 'ᵉ' => 'e', 'ᵍ' => 'g', 'ʰ' => 'h', 'ⁱ' => 'i',
        'ʲ' => 'j', 'ᵏ' => 'k', 'ˡ' => 'l', 'ᵐ' => 'm', 'ⁿ' => 'n', 'ᵒ' => 'o', 'ᵖ' => 'p', 'ʳ' => 'r', 'ˢ' => 's', 'ᵗ' => 't',
        'ᵘ' => 'u', 'ᵛ' => 'v', 'ʷ' => 'w', 'ˣ' => 'x', 'ʸ' => 'y', 'ᶻ' => 'z',
    ];

    /** No line ends before a mark that has a space before it, nor after an opening guillemet. */
    public static function spaced(string $text): string
    {
        return strpbrk($text, ":;?!\xBB\xAB") !== false && str_contains($text, ' ')
            ? (string) preg_replace('/ (?=[:;?!»])|(?<=«) /u', "\u{202F}", $text)
            : $text;
    }

    /** A word of a locale; letters that are raised already are told as such, so that each output can raise them its way. */
    public static function raised(string $text): string
    {
        $text = (string) preg_replace('/(?<=\p{L})\'(?=\p{L})/u', '’', $text);
        if (preg_match('/[ªºᵃ-ᶿʰ-ˣⁱⁿ]/u', $text) !== 1) {
            return $text;
        }

        return (string) preg_replace_callback(
            '/[' . implode('', array_keys(self::RAISED)) . ']+/u',
            static fn(array $m): string => Flat::RAISED . strtr($m[0], self::RAISED) . Flat::SHUT,
            $text,
        );
    }

    /** @param array{string, string, string, string} $quotes outer and inner marks of the locale */
    public static function of(string $text, array $quotes): string
    {
        // Curled marks and guillemets begin with one of two bytes.
        if (strpbrk($text, "<\"'\xC2\xE2") === false
            || (strpbrk($text, '<"\'') === false && preg_match('/[“”‘’«»„‚‹›]/u', $text) !== 1)) {
            return $text;
        }
        $text = str_contains($text, '<') ? self::tags($text) : $text;

        return self::quotes($text, $quotes);
    }

    private static function tags(string $text): string
    {
        $pieces = preg_split('/(<[^<>]{1,60}>)/', $text, -1, PREG_SPLIT_DELIM_CAPTURE) ?: [];
        $open = [];
        foreach ($pieces as $i => $piece) {
            if (isset(self::TAGS[$piece])) {
                $open[] = [$i, preg_match('/\A<(\w+)/', $piece, $m) === 1 ? $m[1] : ''];
            } elseif (preg_match('/\A<\/(i|b|sup|sub|sc|span)>\z/', $piece, $m) === 1) {
                $last = end($open);
                if ($last !== false && $last[1] === $m[1]) {
                    array_pop($open);
                    $pieces[$last[0]] = self::TAGS[$pieces[$last[0]]];
                    $pieces[$i] = Flat::SHUT;
                }
            }
        }

        return implode('', $pieces);
    }

    /**
     * Straight marks, and those of the locale; others stay as they were typed. An apostrophe becomes a curled one.
     *
     * @param array{string, string, string, string} $quotes
     */
    private static function quotes(string $text, array $quotes): string
    {
        [$o, $c, $io, $ic] = array_map(trim(...), array_map(static fn(string $q): string => str_replace("\u{A0}", '', $q), $quotes));
        $known = array_filter(array_unique(['"', '\'', '’', $o, $c, $io, $ic]), static fn(string $q): bool => $q !== '');
        $pattern = '/(' . implode('|', array_map(static fn(string $q): string => preg_quote($q, '/'), $known)) . ')/u';
        $marks = preg_split($pattern, $text, -1, PREG_SPLIT_DELIM_CAPTURE) ?: [$text];
        $count = \count($marks);
        $open = [];
        for ($i = 1; $i < $count; $i += 2) {
            $mark = $marks[$i];
            $before = self::edge($marks[$i - 1], false) ?? ($i > 1 ? '"' : ' ');
            $after = self::edge($marks[$i + 1], true) ?? ($i + 2 < $count ? '"' : ' ');
            $kind = $mark === '"' || $mark === $o || $mark === $c ? 0 : 1;
            // A straight mark may be either, though a locale closes with it.
            if ($mark === $o || $mark === $io) {
                $opens = $mark !== $c && $mark !== $ic ? true : null;
            } elseif (($mark === $c || $mark === $ic) && $mark !== '"' && $mark !== '\'') {
                $opens = false;
            } else {
                $opens = null;
            }
            $opens ??= preg_match('/[\s(\[–—\/"“‘«]/u', $before) === 1 && preg_match('/[\s)\].,;:!?]/u', $after) !== 1;
            if (($mark === '\'' || $mark === '’') && !($opens && $mark === '\'')) {
                $top = end($open);
                if ($top === false || $top[1] !== $kind || preg_match('/[\p{L}\p{N}]/u', $after) === 1) {
                    $marks[$i] = '’';

                    continue;
                }
            }
            if ($opens) {
                $open[] = [$i, $kind];
            } else {
                $top = end($open);
                if ($top !== false && $top[1] === $kind) {
                    array_pop($open);
                    $marks[$top[0]] = $kind === 1 ? Flat::INNER_QUOTE : Flat::QUOTE;
                    $marks[$i] = $kind === 1 ? Flat::INNER_UNQUOTE : Flat::UNQUOTE;
                }
            }
        }
        foreach ($open as [$i]) {
            if ($marks[$i] === '\'') {
                $marks[$i] = '’';
            }
        }

        return implode('', $marks);
    }

    /** The letter of a text that stands beside a mark. */
    private static function edge(string $text, bool $first): ?string
    {
        $text = Flat::plain($text);

        return $text === '' ? null : mb_substr($text, $first ? 0 : -1, 1);
    }
}
