<?php

declare(strict_types=1);

namespace Embrel\Citation;

/**
 * A date as far as it is known: a year, perhaps month and day, perhaps only about then; or words in
 * its place (“forthcoming”). Stored as ISO 8601-2 writes it (1994, 1994-05, 1994-05-03, 1890~), else as the words.
 */
final readonly class PartialDate
{
    private const LONGEST = 60;
    private const STORED = '/\A(\d{4})(?:-(\d\d)(?:-(\d\d))?)?(~)?\z/';
    private const MONTHS = [
        'jan' => 1,
        'feb' => 2,
        'mar' => 3,
        'mär' => 3,
        'apr' => 4,
        'may' => 5,
        'mai' => 5,
        'jun' => 6,
        'jul' => 7,
        'aug' => 8,
        'sep' => 9,
        'oct' => 10,
        'okt' => 10,
        'nov' => 11,
        'dec' => 12,
        'dez' => 12,
    ];

    private function __construct(
        public ?int $year,
        public ?int $month = null,
        public ?int $day = null,
        public bool $circa = false,
        public string $words = '',
    ) {}

    /** From the stored form; null for no date. */
    public static function of(string $stored): ?self
    {
        if ($stored === '') {
            return null;
        }
        if (preg_match(self::STORED, $stored, $m) !== 1) {
            return new self(null, words: mb_strimwidth($stored, 0, self::LONGEST));
        }

        return self::on((int) $m[1], (int) ($m[2] ?? 0), (int) ($m[3] ?? 0), isset($m[4]));
    }

    /** A day or month that no calendar has is left away. */
    public static function on(int $year, int $month = 0, int $day = 0, bool $circa = false): self
    {
        $month = $month >= 1 && $month <= 12 ? $month : null;

        return new self($year, $month, $month !== null && $day > 0 && checkdate($month, $day, max(1, $year)) ? $day : null, $circa);
    }

    /** As a writer types it: 1994, c. 1890, 3 May 1994, May 3, 1994, 03.05.1994, n.d. (none). */
    public static function typed(string $text): ?self
    {
        $text = trim($text);
        $plain = mb_strtolower($text);
        if ($plain === '' || preg_match('/\A(?:n\.?\s?d\.?|o\.\s?j\.|undated|no date)\z/u', $plain) === 1) {
            return null;
        }
        $circa = preg_match('/\A(?:circa|ca?\.|ca|around|about|um)\s*(?=\d)|(?:\?|~)\z/u', $plain) === 1;
        $bare = trim(preg_replace('/\A(?:circa|ca?\.|ca|around|about|um)\s*(?=\d)|(?:\?|~)\z/u', '', $plain) ?? $plain);
        $parts = match (1) {
            preg_match('/\A(\d{4})(?:[-\/](\d{1,2})(?:[-\/](\d{1,2}))?)?\z/', $bare, $m) => [
                (int) $m[1],
                (int) ($m[2] ?? 0),
                (int) ($m[3] ?? 0),
            ],
            preg_match('/\A(\d{1,2})\.\s?(\d{1,2})\.\s?(\d{4})\z/', $bare, $m) => [(int) $m[3], (int) $m[2], (int) $m[1]],
            preg_match('/\A(?:(\d{1,2})\.?\s+)?(\p{L}{3})\p{L}*\.?,?\s+(\d{4})\z/u', $bare, $m) => [
                (int) $m[3],
                self::MONTHS[$m[2]] ?? 0,
                (int) $m[1],
            ],
            preg_match('/\A(\p{L}{3})\p{L}*\.?\s+(\d{1,2})(?:st|nd|rd|th)?,?\s+(\d{4})\z/u', $bare, $m) => [
                (int) $m[3],
                self::MONTHS[$m[1]] ?? 0,
                (int) $m[2],
            ],
            preg_match('/\A(\d{4}),?\s+(\p{L}{3})\p{L}*\.?(?:\s+(\d{1,2}))?\z/u', $bare, $m) => [
                (int) $m[1],
                self::MONTHS[$m[2]] ?? 0,
                (int) ($m[3] ?? 0),
            ],
            default => null,
        };

        return $parts === null || (preg_match('/\p{L}/u', $bare) === 1 && $parts[1] === 0)
            ? self::of($text)
            : self::on($parts[0], $parts[1], $parts[2], $circa);
    }

    public function stored(): string
    {
        if ($this->year === null) {
            return $this->words;
        }

        return \sprintf('%04d', $this->year)
            . ($this->month === null ? '' : \sprintf('-%02d', $this->month))
            . ($this->day === null ? '' : \sprintf('-%02d', $this->day))
            . ($this->circa ? '~' : '');
    }
}
