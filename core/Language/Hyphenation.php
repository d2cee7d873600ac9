<?php

declare(strict_types=1);

namespace Embrel\Language;

/** Where words may be divided at the end of a line: by patterns as TeX has them (Liang, Word Hy-phen-a-tion by Com-put-er, 1983). */
final class Hyphenation
{
    /** Words that are shorter stay whole. */
    private const SHORTEST = 5;
    /** A hyphen that is seen only at the end of a line. */
    private const SOFT = "\u{AD}";

    /** @var array<string, list<int>> */
    private array $known = [];

    /**
     * @param array<string, string> $patterns   letters, with . for the ends of a word → a digit for each place before, between and after them
     * @param array<string, string> $exceptions word → the word with its hyphens
     * @param int                   $left       how many letters stay before the first hyphen
     * @param int                   $right      and after the last
     */
    public function __construct(
        private readonly array $patterns,
        private readonly array $exceptions = [],
        private readonly int $left = 2,
        private readonly int $right = 3,
    ) {}

    /** @return self|null null where there are no patterns for the language, or they have not been built */
    public static function of(Language $language): ?self
    {
        $primary = strtolower(explode('-', $language->tag)[0]);
        $file = \dirname(__DIR__, 2) . "/resources/hyphens/{$primary}.php";
        if (!\in_array($primary, Language::known(), true) || stream_resolve_include_path($file) === false) {
            return null;
        }
        /** @var array{patterns: array<string, string>, exceptions: array<string, string>, left: int, right: int} $table */
        $table = require $file;

        return new self($table['patterns'], $table['exceptions'], $table['left'], $table['right']);
    }

    /**
     * @param string $text a word with what clings to it, such as marks of quotation; a soft hyphen in it says all that there is to say
     *
     * @return list<int> after how many of its signs it may be divided
     */
    public function points(string $text): array
    {
        return $this->known[$text] ??= $this->found($text);
    }

    /** @return list<int> */
    private function found(string $text): array
    {
        if (str_contains($text, self::SOFT)) {
            $parts = \array_slice(explode(self::SOFT, $text), 0, -1);

            return array_map(static fn(int $k): int => mb_strlen(implode(self::SOFT, \array_slice($parts, 0, $k + 1))), array_keys($parts));
        }
        // Addresses, numbers and what has a hyphen already are left as they are.
        if (preg_match('/\A[^\p{L}]*(\p{L}[\p{L}\p{M}’\']*)[^\p{L}\d@\/]*\z/u', $text, $m, PREG_OFFSET_CAPTURE) !== 1) {
            return [];
        }
        [$word, $at] = $m[1];
        $from = mb_strlen(substr($text, 0, $at));
        $small = mb_strtolower($word);
        if (mb_strlen($small) !== mb_strlen($word) || mb_strlen($word) < self::SHORTEST) {
            return [];
        }

        return array_map(static fn(int $point): int => $point + $from, $this->inWord($small));
    }

    /** @return list<int> */
    private function inWord(string $word): array
    {
        if (isset($this->exceptions[$word])) {
            $points = [];
            $at = 0;
            foreach (explode('-', $this->exceptions[$word], -1) as $part) {
                $points[] = $at += mb_strlen($part);
            }

            return $points;
        }
        $letters = mb_str_split(".{$word}.");
        $count = \count($letters);
        $values = array_fill(0, $count + 1, 0);
        for ($from = 0; $from < $count; ++$from) {
            $part = '';
            for ($to = $from; $to < $count; ++$to) {
                $part .= $letters[$to];
                foreach (str_split($this->patterns[$part] ?? '') as $k => $value) {
                    $values[$from + $k] = max($values[$from + $k], (int) $value);
                }
            }
        }
        $points = [];
        for ($at = $this->left; $at <= $count - 2 - $this->right; ++$at) {
            if ($values[$at + 1] % 2 === 1) {
                $points[] = $at;
            }
        }

        return $points;
    }
}
