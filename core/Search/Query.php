<?php

declare(strict_types=1);

namespace Embrel\Search;

use Embrel\Limits;

/**
 * What is looked for: some text, in any case or not, as whole words or not. Straight and curly quotation marks
 * are alike, and so is all white space.
 */
final readonly class Query
{
    private const ALIKE = ['"' => '["“”„]', '“' => '["“”„]', '”' => '["“”„]', "'" => "['’‘]", '’' => "['’‘]"];

    public string $text;
    private string $exact;
    private string $loose;

    public function __construct(string $text, public bool $wholeWords = false, public bool $matchCase = false)
    {
        $this->text = mb_substr(mb_scrub($text), 0, Limits::TITLE);
        [$this->exact, $this->loose] = [$this->pattern($wholeWords), $this->pattern(false)];
    }

    public function isEmpty(): bool
    {
        return trim($this->text) === '';
    }

    /**
     * @return list<array{int, int}> where it stands in a text: from and length, in bytes
     */
    public function in(string $text): array
    {
        preg_match_all($this->exact, $text, $m, PREG_OFFSET_CAPTURE);

        return array_map(static fn(array $hit): array => [$hit[1], \strlen($hit[0])], $m[0]);
    }

    /** Whether a text is worth a closer look: it holds the letters, as whole words or not. */
    public function mayBeIn(string $text): bool
    {
        return preg_match($this->loose, $text) === 1;
    }

    private function pattern(bool $wholeWords): string
    {
        $pattern = '';
        foreach (mb_str_split($this->text) as $sign) {
            $pattern .= self::ALIKE[$sign] ?? (preg_match('/\s/u', $sign) === 1 ? '\s' : preg_quote($sign, '/'));
        }

        return '/' . ($wholeWords ? "(?<![\\p{L}\\p{N}]){$pattern}(?![\\p{L}\\p{N}])" : $pattern) . '/u' . ($this->matchCase ? '' : 'i');
    }
}
