<?php

declare(strict_types=1);

namespace Embrel\Language;

use Embrel\Language\Stems\FunctionWords;
use Embrel\Language\Stems\Stemmer;
use Embrel\Words;

/** How a language is read for what it is about: its words, brought to their stems, without those that only hold sentences together. */
final class Tongue
{
    /** @var array<string, string> word → its stem; '' for one that tells nothing */
    private array $known = [];

    /** @param array<string, true> $functionWords */
    private function __construct(
        private readonly Stemmer $stemmer,
        private readonly array $functionWords,
        public readonly bool $nounsHaveCapitals,
    ) {}

    /** @param string $tag a language tag (BCP 47) */
    public static function of(string $tag): self
    {
        /** @var array<string, self> $made */
        static $made = [];
        $primary = strtolower(explode('-', $tag)[0]);

        return $made[$primary] ??= new self(
            Stemmer::of(Language::of($tag)),
            FunctionWords::of($primary),
            $primary === 'de',
        );
    }

    /** The stem of a word; '' for one that tells nothing: a word of the list, a letter or a digit or two alone. */
    public function stem(string $word): string
    {
        if (isset($this->known[$word])) {
            return $this->known[$word];
        }
        if (\count($this->known) > 50_000) {
            $this->known = [];
        }
        $small = mb_convert_case(str_replace('’', "'", $word), MB_CASE_FOLD);
        $isNothing = isset($this->functionWords[mb_strtolower($word)])
            || isset($this->functionWords[$small])
            || preg_match('/\A(?:[\p{Latin}\p{Greek}\p{Cyrillic}]|\p{N}{1,2}|[^\p{L}\p{N}]*)\z/u', $small) === 1;

        return $this->known[$word] = $isNothing ? '' : $this->stemmer->stem($small);
    }

    public function isFunctionWord(string $word): bool
    {
        return $this->stem($word) === '';
    }

    /** @return array<string, int> stem → how often it stands in a text */
    public function stems(string $text): array
    {
        $stems = [];
        foreach (array_count_values(Words::of($text)) as $word => $times) {
            $stem = $this->stem((string) $word);
            if ($stem !== '') {
                $stems[$stem] = ($stems[$stem] ?? 0) + $times;
            }
        }

        return $stems;
    }

    /**
     * Where words of some stems stand in a text.
     *
     * @param array<string, mixed> $stems by stem
     *
     * @return list<array{int, int}> from and length, in characters
     */
    public function spots(string $text, array $stems): array
    {
        $spots = [];
        foreach (Words::of($text) as $at => $word) {
            if (isset($stems[$this->stem($word)])) {
                $spots[] = [mb_strlen(substr($text, 0, $at)), mb_strlen($word)];
            }
        }

        return $spots;
    }
}
