<?php

declare(strict_types=1);

namespace Embrel\Language\Stems;

use Embrel\Language\Language;

/**
 * Brings the forms of a word to one stem, by the rules that Snowball publishes (M. F. Porter, Snowball: A language for
 * stemming algorithms, 2001; snowballstem.org). A language without rules here keeps its words as they are.
 */
abstract class Stemmer
{
    /** @var array<string, string> letters that the rules speak of, and how each is written while they work */
    protected const LETTERS = [];

    /** @var array<string, string> word → stem: a text has few words and says them often */
    private array $known = [];

    public static function of(Language $language): self
    {
        /** @var array<string, self> $made */
        static $made = [];

        return match (strtolower(explode('-', $language->tag)[0])) {
            'en' => $made['en'] ??= new EnglishStemmer(),
            'de' => $made['de'] ??= new GermanStemmer(),
            default => $made[''] ??= new NoStemmer(),
        };
    }

    /** @param string $word in small letters */
    public function stem(string $word): string
    {
        if (isset($this->known[$word])) {
            return $this->known[$word];
        }
        if (\count($this->known) > 50_000) {
            $this->known = [];
        }

        return $this->known[$word] = $this->found($word);
    }

    /** A letter is one byte here: what the rules do not speak of stands as a sign of its own. */
    private function found(string $word): string
    {
        if (preg_match('/[^\x00-\x7F]/', $word) !== 1) {
            return $this->shortened($word);
        }
        $signs = [];
        $letters = (string) preg_replace_callback('/[^\x00-\x7F]/u', static function (array $m) use (&$signs): string {
            return $signs[$m[0]] ??= \chr(0x80 + \count($signs) % 0x70);
        }, strtr($word, static::LETTERS));

        return strtr($this->shortened($letters), array_flip($signs));
    }

    /** @param string $word one byte a letter */
    abstract protected function shortened(string $word): string;

    /**
     * Where the first region begins: behind the first letter that is no vowel and follows one.
     *
     * @param string $vowels as a class of a pattern
     */
    protected static function region(string $word, string $vowels, int $from = 0): int
    {
        return preg_match("/[{$vowels}][^{$vowels}]/", $word, $m, PREG_OFFSET_CAPTURE, $from) === 1 ? $m[0][1] + 2 : \strlen($word);
    }

    /**
     * The longest of some endings that a word has.
     *
     * @param string $endings as the alternatives of a pattern
     */
    protected static function ending(string $word, string $endings): ?string
    {
        return preg_match("/(?:{$endings})\\z/", $word, $m) === 1 ? $m[0] : null;
    }
}
