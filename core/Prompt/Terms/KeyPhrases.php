<?php

declare(strict_types=1);

namespace Embrel\Prompt\Terms;

use Embrel\Language\Tongue;

/**
 * What a text is about: phrases of one to four words, ranked by the C-value (K. Frantzi, S. Ananiadou and H. Mima,
 * Automatic Recognition of Multi-Word Terms: the C-value/NC-value Method, 2000), which asks how often a phrase stands
 * by itself and not within a longer one. So that single words count too, the logarithm of its length is that of one
 * more (A. Barrón-Cedeño et al., An Improved Automatic Term Recognition Method for Spanish, 2009). Forms of a word are one.
 */
final class KeyPhrases
{
    private const LONGEST = 4;
    /** What stands once is a word of the text, and not yet what it is about. */
    private const TIMES = 2;
    /** Words, and what divides them: space and hyphens do not. */
    private const PIECES = "/[\\p{L}\\p{N}][\\p{L}\\p{M}\\p{N}]*+(?:['’]\\p{L}++)?|[^\\s\\p{L}\\p{N}\\p{M}'’‑-]/u";

    /**
     * @param iterable<string, string> $texts topic → what stands there, in reading order
     *
     * @return list<Term> what it is most about first
     */
    public static function of(Tongue $tongue, iterable $texts, int $most = 40): array
    {
        $nounsAreLarge = $tongue->nounsHaveCapitals;
        $times = $first = $words = $stems = $large = [];
        foreach ($texts as $topic => $text) {
            preg_match_all(self::PIECES, $text, $m);
            $run = $forms = [];
            $m[0][] = '.';
            foreach ($m[0] as $piece) {
                $stem = $stems[$piece] ??= $tongue->stem($piece);
                if ($stem !== '') {
                    $run[] = $stem;
                    $forms[] = $piece;
                    continue;
                }
                $count = \count($run);
                for ($from = 0; $from < $count; ++$from) {
                    $key = '';
                    for ($to = $from; $to < $count && $to < $from + self::LONGEST; ++$to) {
                        $key .= ' ' . $run[$to];
                        if ($nounsAreLarge && !ctype_upper($forms[$to][0]) && $forms[$to][0] < "\xC3") {
                            continue;
                        }
                        if (!isset($times[$key])) {
                            $times[$key] = 0;
                            $first[$key] = $topic;
                            $words[$key] = [$forms, $from, $to];
                            $large[$key] = true;
                        } elseif (isset($large[$key]) && ctype_lower($forms[$from][0])) {
                            // A capital that begins a sentence or a title is none of the word.
                            $words[$key] = [$forms, $from, $to];
                            unset($large[$key]);
                        }
                        ++$times[$key];
                    }
                }
                $run = $forms = [];
            }
        }
        $times = array_filter($times, static fn(int $n): bool => $n >= self::TIMES);

        return self::ranked($times, $first, $words, $most);
    }

    /**
     * @param array<string, int>                             $times
     * @param array<string, string>                          $first
     * @param array<string, array{list<string>, int, int}> $words
     *
     * @return list<Term>
     */
    private static function ranked(array $times, array $first, array $words, int $most): array
    {
        // How often each stands within longer ones, and in how many.
        $within = $longer = [];
        foreach ($times as $key => $n) {
            $parts = explode(' ', substr($key, 1));
            $count = \count($parts);
            for ($from = 0; $count > 1 && $from < $count; ++$from) {
                $inner = '';
                for ($to = $from; $to < $count; ++$to) {
                    $inner .= ' ' . $parts[$to];
                    if ($to - $from + 1 < $count) {
                        $within[$inner] = ($within[$inner] ?? 0) + $n;
                        $longer[$inner] = ($longer[$inner] ?? 0) + 1;
                    }
                }
            }
        }
        $values = [];
        foreach ($times as $key => $n) {
            $alone = $n - ($within[$key] ?? 0) / max(1, $longer[$key] ?? 1);
            // A number tells something within a phrase alone, and an only letter nothing.
            $value = log(substr_count($key, ' ') + 1, 2) * $alone;
            $value > 0 && preg_match('/\p{L}{2}|[\p{Lo}]/u', $key) === 1 ? $values[$key] = $value : null;
        }
        uksort($values, static fn(string $a, string $b): int => $values[$b] <=> $values[$a] ?: $times[$b] <=> $times[$a] ?: $a <=> $b);
        $terms = [];
        foreach (\array_slice($values, 0, $most, true) as $key => $value) {
            [$forms, $from, $to] = $words[$key];
            $terms[] = new Term(implode(' ', \array_slice($forms, $from, $to - $from + 1)), $times[$key], (string) $first[$key], $value);
        }

        return $terms;
    }
}
