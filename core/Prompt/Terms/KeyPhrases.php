<?php

declare(strict_types=1);

namespace Embrel\Prompt\Terms;

use Embrel\Language\Tongue;
use Embrel\Words;

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
    private const DIVIDES = [
        ...['.', ',', ';', ':', '!', '?', '(', ')', '[', ']', '{', '}', '"', "\n", "\r", '/', '|', '*', '=', '<', '>'],
        ...['“', '”', '„', '«', '»', '–', '—', '…', '。', '，', '、'],
    ];
    /** In so many places it is looked whether a phrase stands without a capital. */
    private const LOOKS = 50;
    /** In words: of a text that is longer, a form that stands once says nothing. */
    private const LONG = 20_000;
    /** In the place of what divides phrases; and behind a word with a capital, where nouns are known by it. */
    private const BREAK = ' |';
    private const LARGE = '^';

    /** @var array<string, string> topic → its words as their stems, each with a space before it */
    private array $lines = [];
    /** @var array<string, string> piece → what stands for it in a line */
    private array $signs = [];

    private function __construct(private readonly Tongue $tongue) {}

    /**
     * @param iterable<string, string> $texts topic → what stands there, in reading order
     *
     * @return list<Term> what it is most about first
     */
    public static function of(Tongue $tongue, iterable $texts, int $most = 40): array
    {
        $self = new self($tongue);
        $all = [];
        foreach ($texts as $topic => $text) {
            $all[$topic] = self::pieces($text);
        }
        $forms = array_count_values(array_merge(...array_values($all)));
        $isLong = array_sum($forms) > self::LONG;
        foreach ($forms as $form => $times) {
            $self->signs[$form] = $isLong && $times === 1 ? self::BREAK : $self->sign((string) $form);
        }
        foreach ($all as $topic => $pieces) {
            $self->lines[$topic] = $self->line($pieces);
        }

        return $self->ranked($self->counted($forms), $all, $most);
    }

    /** @return list<string> words, and signs between them */
    private static function pieces(string $text): array
    {
        if (Words::areUnspaced($text)) {
            return array_values(Words::of($text));
        }
        /** @var array<string, string> $signs */
        static $signs = ["\t" => ' ', '-' => ' ', '’' => "'"];
        $signs += array_fill_keys(self::DIVIDES, ' . ');

        return explode(' ', strtr($text, $signs));
    }

    /** @param list<string> $pieces */
    private function line(array $pieces): string
    {
        $line = '';
        foreach ($pieces as $piece) {
            $line .= $this->signs[$piece];
        }

        return $line . self::BREAK;
    }

    private function sign(string $piece): string
    {
        if (ctype_alnum($piece) && !$this->tongue->nounsHaveCapitals) {
            return rtrim(' ' . $this->tongue->stem($piece)) ?: self::BREAK;
        }
        // What clings to a word and is none of it.
        $isWord = preg_match("/\\A[^\\p{L}\\p{N}]*([\\p{L}\\p{N}][\\p{L}\\p{M}\\p{N}']*)[^\\p{L}\\p{N}]*\\z/u", $piece, $m) === 1;
        $stem = $isWord ? $this->tongue->stem(rtrim($m[1], "'")) : '';
        $isLarge = $this->tongue->nounsHaveCapitals && preg_match('/\A\p{Lu}/u', $piece) === 1;

        return $stem === '' ? self::BREAK : " {$stem}" . ($isLarge ? self::LARGE : '');
    }

    /**
     * @param array<array-key, int> $forms form of a word → how often it stands in the text
     *
     * @return array<string, int> phrase, as its stems → how often it stands in the text, if more than once
     */
    private function counted(array $forms): array
    {
        $times = [];
        $text = implode('', $this->lines);
        foreach ($forms as $form => $n) {
            $times[$this->signs[$form]] = ($times[$this->signs[$form]] ?? 0) + $n;
        }
        unset($times[self::BREAK]);
        foreach (array_count_values(explode(self::BREAK, $text)) as $run => $n) {
            $count = substr_count((string) $run, ' ');
            if ($count === 2) {
                $times[$run] = $n + ($times[$run] ?? 0);
            } elseif ($count > 2) {
                $this->within(explode(' ', trim((string) $run)), $n, $times);
            }
        }
        // Where nouns are known by their capitals, a phrase ends in one.
        $nouns = [];
        foreach ($this->tongue->nounsHaveCapitals ? $times : [] as $phrase => $n) {
            if (str_ends_with($phrase, self::LARGE)) {
                $plain = str_replace(self::LARGE, '', $phrase);
                $nouns[$plain] = ($nouns[$plain] ?? 0) + $n;
            }
        }
        if ($this->tongue->nounsHaveCapitals) {
            $this->lines = str_replace(self::LARGE, '', $this->lines);
            $times = $nouns;
        }
        $often = [];
        foreach ($times as $phrase => $n) {
            if ($n >= self::TIMES) {
                $often[$phrase] = $n;
            }
        }

        return $often;
    }

    /**
     * Counts the phrases of more than a word that stand in a run of words.
     *
     * @param list<string>       $words
     * @param array<string, int> $times
     */
    private function within(array $words, int $n, array &$times): void
    {
        $count = \count($words);
        for ($from = 0; $from < $count - 1; ++$from) {
            $phrase = ' ' . $words[$from];
            for ($to = $from + 1, $end = min($count, $from + self::LONGEST); $to < $end; ++$to) {
                $phrase .= ' ' . $words[$to];
                $times[$phrase] = ($times[$phrase] ?? 0) + $n;
            }
        }
    }

    /**
     * @param array<string, int>          $times
     * @param array<string, list<string>> $pieces
     *
     * @return list<Term>
     */
    private function ranked(array $times, array $pieces, int $most): array
    {
        // How often each stands within longer ones, and in how many.
        $within = $longer = [];
        foreach ($times as $phrase => $n) {
            $count = substr_count($phrase, ' ');
            $parts = $count > 1 ? explode(' ', substr($phrase, 1)) : [];
            for ($from = 0; $parts !== [] && $from < $count; ++$from) {
                $inner = '';
                for ($to = $from; $to < $count && $to - $from + 1 < $count; ++$to) {
                    $inner .= ' ' . $parts[$to];
                    $within[$inner] = ($within[$inner] ?? 0) + $n;
                    $longer[$inner] = ($longer[$inner] ?? 0) + 1;
                }
            }
        }
        $values = [];
        foreach ($times as $phrase => $n) {
            $alone = $n - (isset($longer[$phrase]) ? $within[$phrase] / $longer[$phrase] : 0);
            if ($alone > 0) {
                $values[$phrase] = log(substr_count($phrase, ' ') + 1, 2) * $alone;
            }
        }
        // Among equals the one that came first.
        arsort($values);
        $terms = [];
        foreach ($values as $phrase => $value) {
            // A number tells something within a phrase alone, and a letter nothing.
            if (preg_match('/\p{L}{2}|\p{Lo}/u', $phrase) === 1) {
                [$first, $words] = $this->place($phrase, $pieces);
                $terms[] = new Term($words, $times[$phrase], $first, $value);
            }
            if (\count($terms) === $most) {
                break;
            }
        }

        return $terms;
    }

    /**
     * @param array<string, list<string>> $pieces
     *
     * @return array{string, string} the topic where a phrase stands first, and how it stands in the text
     */
    private function place(string $phrase, array $pieces): array
    {
        $first = $words = '';
        $looks = self::LOOKS;
        foreach ($this->lines as $topic => $line) {
            for ($at = strpos($line, "{$phrase} "); $at !== false; $at = strpos($line, "{$phrase} ", $at + 1)) {
                $here = implode(' ', \array_slice($pieces[$topic], substr_count($line, ' ', 0, $at), substr_count($phrase, ' ')));
                [$first, $words] = $words === '' ? [(string) $topic, $here] : [$first, $words];
                // A capital that begins a sentence or a title is none of the word.
                if ($this->tongue->nounsHaveCapitals || --$looks === 0 || preg_match('/\A\p{Lu}/u', $here) !== 1) {
                    return [$first, $here];
                }
            }
        }

        return [$first, $words];
    }
}
