<?php

declare(strict_types=1);

namespace Embrel\Language;

/**
 * The language of a plan: its words and ways of writing in what is handed over. One that has no table says it in English.
 *
 * @phpstan-type Table array{
 *     words: array<string, string>,
 *     months: list<string>,
 *     shortMonths: list<string>,
 *     monthsAlone?: list<string>,
 *     dates: array<string, string>,
 *     first: string,
 *     ordinal: string,
 *     isEdition: string,
 *     quotes: array{string, string},
 *     closesAfterStop: bool,
 *     nounsKeepCapitals: bool,
 *     thousands: string,
 *     babel: string,
 * }
 */
final readonly class Language
{
    private const TABLES = [
        'en' => English::TABLE,
        'de' => German::TABLE,
        'fr' => French::TABLE,
        'es' => Spanish::TABLE,
        'it' => Italian::TABLE,
        'nl' => Dutch::TABLE,
        'pt' => Portuguese::TABLE,
        'pl' => Polish::TABLE,
    ];

    /** What most languages have; a table spells out where it is otherwise. */
    private const USUAL = [
        'dates' => [
            'date' => '{day} {month} {year}',
            'dayFirst' => '{day} {month} {year}',
        ],
        'first' => '1',
        'closesAfterStop' => false,
        'nounsKeepCapitals' => false,
        'thousands' => '.',
    ];

    /**
     * @param string $tag   as it was given, such as de-AT
     * @param string $words the language of the words: one of those that have a table
     */
    private function __construct(public string $tag, private string $words) {}

    /** @param string $tag a language tag (BCP 47) */
    public static function of(string $tag): self
    {
        $primary = strtolower(explode('-', $tag)[0]);

        return new self($tag, isset(self::TABLES[$primary]) ? $primary : 'en');
    }

    /** @return list<string> the tags of the languages that have a table */
    public static function known(): array
    {
        return array_keys(self::TABLES);
    }

    /** A word as it stands by itself or at the beginning. */
    public function say(string $word): string
    {
        return $this->table()['words'][$word];
    }

    /** Within a sentence; where nouns keep their capital, with it. */
    public function low(string $word): string
    {
        return $this->keepsCapitalsOfNouns() ? $this->say($word) : mb_strtolower($this->say($word));
    }

    public function keepsCapitalsOfNouns(): bool
    {
        return $this->table()['nounsKeepCapitals'];
    }

    /** @return string the month of a year, 1 to 12, as it stands in a date */
    public function month(int $month, bool $isShort = false): string
    {
        return self::TABLES[$this->words][$isShort ? 'shortMonths' : 'months'][$month - 1];
    }

    /** A month that stands without a day: in some languages another form of its name. */
    public function monthAlone(int $month, bool $isShort = false): string
    {
        return $isShort ? $this->month($month, true) : $this->table()['monthsAlone'][$month - 1] ?? $this->month($month);
    }

    /** Whether the first of a month is called so: 1er mai. */
    public function hasOrdinalFirst(): bool
    {
        return $this->table()['first'] !== '1';
    }

    /** How a date with a day is written, such as {day}. {month} {year}. */
    public function pattern(string $form): string
    {
        return $this->table()['dates'][$form];
    }

    /** 2nd ed., 2. Aufl.; an edition in words as it is, with the word for it where that is not in it. */
    public function edition(string $edition): string
    {
        $table = $this->table();
        if (preg_match('/\A(\d+)(?:\.|st|nd|rd|th|e|ª|\.ª)?\z/u', $edition, $m) === 1) {
            $edition = $this->words === 'en' ? English::ordinal((int) $m[1]) : \sprintf($table['ordinal'], $m[1]);
        }

        return preg_match("/(?<!\\p{L})(?:ed(?:ition)?|{$table['isEdition']})\\b/iu", $edition) === 1
            ? $edition
            : \sprintf($table['words']['edition'], $edition);
    }

    /** @return array{string, string} what opens and what closes a quotation */
    public function quotes(): array
    {
        return $this->table()['quotes'];
    }

    /** Whether closing quotation marks stand after the comma or full stop. */
    public function closesAfterStop(): bool
    {
        return $this->table()['closesAfterStop'];
    }

    /** A number as it is written: 1,200; 1.200. */
    public function number(int $number): string
    {
        return number_format($number, 0, '', $this->table()['thousands']);
    }

    /** The name that LaTeX’s babel has for it. */
    public function babel(): string
    {
        return $this->table()['babel'];
    }

    public function isEnglish(): bool
    {
        return str_starts_with(strtolower($this->tag), 'en');
    }

    /** @return Table with what is usual */
    private function table(): array
    {
        return self::TABLES[$this->words] + self::USUAL; // @phpstan-ignore return.type (LanguageTest compares the tables)
    }
}
