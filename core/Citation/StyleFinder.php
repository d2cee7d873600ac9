<?php

declare(strict_types=1);

namespace Embrel\Citation;

use Embrel\Shelf\Shelf;

/** Finds styles by what they are called, and by the journals that are printed in them. */
final class StyleFinder
{
    private const JOURNALS = 30;

    /**
     * The styles whose names have all the words, in any order, in small letters or capitals, with accents or without.
     *
     * @param array<string, string> $names key → name
     *
     * @return list<string> keys, in the order given
     */
    public static function styles(string $typed, array $names): array
    {
        $words = self::words($typed);

        return array_keys(array_filter($names, static fn(string $name): bool => self::has(self::plain($name), $words)));
    }

    /**
     * Journals by name, those first that begin with what was typed; none where nothing was.
     *
     * @return list<array{name: string, key: string}> the key is that of the style
     */
    public static function journals(string $typed): array
    {
        $words = self::words($typed);
        if ($words === []) {
            return [];
        }
        $found = [[], []];
        foreach (explode("\n", Shelf::journals()) as $line) {
            [$name, $key] = explode("\t", $line) + [1 => ''];
            if ($key !== '' && self::has($plain = self::plain($name), $words)) {
                $found[str_starts_with($plain, $words[0]) ? 0 : 1][] = ['name' => $name, 'key' => $key];
            }
        }

        return \array_slice(array_merge(...$found), 0, self::JOURNALS);
    }

    /** @return list<string> */
    private static function words(string $typed): array
    {
        return preg_split('/[^\p{L}\p{N}&]+/u', self::plain($typed), -1, PREG_SPLIT_NO_EMPTY) ?: [];
    }

    /** @param list<string> $words */
    private static function has(string $plain, array $words): bool
    {
        foreach ($words as $word) {
            if (!str_contains($plain, $word)) {
                return false;
            }
        }

        return true;
    }

    /** In small letters, without accents. */
    private static function plain(string $text): string
    {
        // Most names of journals have none.
        if (preg_match('/[^\x20-\x7E]/', $text) !== 1) {
            return strtolower($text);
        }

        $apart = \Normalizer::normalize($text, \Normalizer::FORM_D);

        return mb_strtolower((string) preg_replace('/\p{Mn}+/u', '', \is_string($apart) ? $apart : $text));
    }
}
