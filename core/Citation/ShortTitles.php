<?php

declare(strict_types=1);

namespace Embrel\Citation;

use Embrel\Shelf\Shelf;

/** Titles of journals made short, word by word, as ISO 4 has it: from a list of words (resources/csl/titles). */
final class ShortTitles
{
    /** Articles, prepositions and conjunctions. */
    private const LEFT_OUT = [
        ...['a', 'an', 'and', 'at', 'by', 'for', 'from', 'in', 'of', 'on', 'the', 'to', 'with'],
        ...['das', 'der', 'des', 'die', 'für', 'im', 'und', 'z'],
        ...['de', 'du', 'e', 'el', 'en', 'et', 'l', 'la', 'las', 'le', 'les', 'los', 'y'],
        ...['het', 'van'],
    ];

    /** A title of one word stays, as does a word that the list has not. */
    public static function of(string $title): string
    {
        preg_match_all('/[\p{L}\p{N}\p{Mn}]+|&/u', $title, $m);
        $isKept = static fn(string $word): bool => $word !== '&' && !\in_array(mb_strtolower($word), self::LEFT_OUT, true);
        $words = array_values(array_filter($m[0], $isKept));
        if (\count($words) < 2) {
            return $title;
        }

        return implode(' ', array_map(self::word(...), $words));
    }

    private static function word(string $word): string
    {
        $list = self::list();
        $plain = mb_strtolower($word);
        $short = $list[$plain] ?? null;
        for ($length = mb_strlen($plain); $short === null && $length > 2; --$length) {
            $short = $list[mb_substr($plain, 0, $length) . '-'] ?? null;
        }
        // A row without a stop keeps a word from the rows of shorter beginnings: of plant- and plan-, that of plant- counts.
        if ($short === null || !str_ends_with($short, '.') || mb_strlen($short) > mb_strlen($word)) {
            return $word;
        }

        return preg_match('/\A\p{Lu}/u', $word) === 1 ? mb_strtoupper(mb_substr($short, 0, 1)) . mb_substr($short, 1) : $short;
    }

    /** @return array<string, string> a word, or how words begin and a hyphen → what they are shortened to */
    private static function list(): array
    {
        /** @var array<string, string> $list read once */
        static $list = [];
        if ($list === []) {
            foreach (explode("\n", trim(Shelf::shortWords())) as $line) {
                [$word, $short] = explode("\t", $line);
                $list[$word] = $short;
            }
        }

        return $list;
    }
}
