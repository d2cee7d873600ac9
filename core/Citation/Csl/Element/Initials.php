<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl\Element;

/** Given names by their first letters: Jean-Luc Marie → J.-L. M. */
final class Initials
{
    /** How many are kept. */
    private const MOST = 5000;

    /** @var array<string, string> */
    private static array $kept = [];

    /**
     * @param string $with      what follows each letter
     * @param bool   $shortens  false: only what is an initial already is written so
     * @param bool   $hyphens   whether the hyphen between two stays
     */
    public static function of(string $given, string $with, bool $shortens, bool $hyphens): string
    {
        // The same people come again and again.
        self::$kept = \count(self::$kept) > self::MOST ? [] : self::$kept;

        return self::$kept["{$given}\t{$with}\t{$shortens}\t{$hyphens}"] ??= self::written($given, $with, $shortens, $hyphens);
    }

    private static function written(string $given, string $with, bool $shortens, bool $hyphens): string
    {
        if (!$hyphens) {
            $given = str_replace('-', ' ', $given);
        }
        $given = (string) preg_replace(['/\s*-\s*/u', '/\s+/u', '/-(?=\p{Ll})/u', '/\.(?! |-|\z)/'], ['-', ' ', '–', '. '], trim($given));
        $words = preg_split('/( |-)/u', $given, -1, PREG_SPLIT_DELIM_CAPTURE) ?: [$given];
        $out = $shortens ? self::shortened($words, $with) : self::normalized($words, $with);

        return str_replace('–', '-', (string) preg_replace(['/[\s\x{A0}]+\z/u', '/\s*-\s*/u', '/ +/'], ['', '-', ' '], $out));
    }

    /** @param list<string> $words with what stands between them */
    private static function shortened(array $words, string $with): string
    {
        $out = '';
        $last = \count($words) - 1;
        for ($i = 0; $i <= $last; $i += 2) {
            $word = $words[$i];
            $gap = $words[$i + 1] ?? '';
            if (preg_match('/\A[\p{Lu}\p{Lt}\p{Lo}]/u', $word) === 1) {
                $capitals = preg_match('/\A.(\p{Lu}+)\p{Ll}/u', $word, $m) === 1 ? mb_strtolower($m[1]) : '';
                $out .= mb_substr($word, 0, 1) . $capitals . $with . ($gap === '-' ? '-' : '');
            } else {
                $out .= ($word === '' ? '' : " {$word}") . $gap;
            }
        }

        return $out;
    }

    /**
     * Initials alone have what follows them; names stay.
     *
     * @param list<string> $words
     */
    private static function normalized(array $words, string $with): string
    {
        $out = '';
        $last = \count($words) - 1;
        $is = [];
        for ($i = 0; $i <= $last; $i += 2) {
            $is[$i] = (mb_strlen($words[$i]) > 1 && str_ends_with($words[$i], '.')) || preg_match('/\A\p{Lu}\z/u', $words[$i]) === 1;
        }
        for ($i = 0; $i <= $last; $i += 2) {
            $gap = $words[$i + 1] ?? '';
            if ($is[$i]) {
                $out .= rtrim($words[$i], '.') . $with . ($i < $last && !$is[$i + 2] ? ' ' : '');
            } else {
                $out .= $words[$i] . $gap;
            }
        }

        return $out;
    }
}
