<?php

declare(strict_types=1);

namespace Embrel\Citation;

use Embrel\Language\Language;

/** How dates, pages and the words between them are written in lists of references, in the language of the plan. */
final readonly class Terms
{
    private function __construct(public Language $language) {}

    /** @param string $language a language tag */
    public static function of(string $language): self
    {
        return new self(Language::of($language));
    }

    public function say(string $word): string
    {
        return $this->language->say($word);
    }

    /** Within a sentence: German nouns keep their capital. */
    public function low(string $word): string
    {
        return $this->language->low($word);
    }

    /** May 3, 1994; 3. Mai 1994. */
    public function day(PartialDate $date): string
    {
        return $this->written('date', $date);
    }

    /** May 3 of a date whose year is printed elsewhere: 3. Mai; empty where no month is known. */
    public function monthAndDay(PartialDate $date): string
    {
        return $this->language->date('monthAndDay', $date->day, $date->month, '');
    }

    /** 3 May 1994, with short months: 12 Sept. 2001. */
    public function dayFirst(PartialDate $date): string
    {
        return $this->written('dayFirst', $date, true);
    }

    private function written(string $form, PartialDate $date, bool $isShort = false): string
    {
        if ($date->year === null || !$this->language->circaComesFirst()) {
            return $this->language->date($form, $date->day, $date->month, $this->year($date), $isShort);
        }
        $about = $date->circa ? $this->say('circa') : '';

        return $about . $this->language->date($form, $date->day, $date->month, (string) $date->year, $isShort);
    }

    /** The year, about then where it is not sure; or the words that stand for a date. */
    public function year(PartialDate $date): string
    {
        return $date->year === null ? $date->words : ($date->circa ? $this->say('circa') : '') . $date->year;
    }

    /** The year with the letter that tells it from others, n.d. where none is known: 1994a, n.d.-a. */
    public function when(?PartialDate $date, string $letter = ''): string
    {
        $year = $date === null ? $this->say('noDate') : $this->year($date);

        return $letter === '' ? $year : $year . ($date?->year === null ? '-' : '') . $letter;
    }

    /** p. 61, pp. 61–63; a place in words as it is: ch. 3. */
    public function pages(string $place, string $form): string
    {
        return Pages::arePages($place)
            ? $this->say(Pages::areSeveral($place) ? 'pages' : 'page') . ' ' . Pages::range($place, $form)
            : $place;
    }

    /** 2nd ed., rev. ed.; 2. Aufl. */
    public function edition(string $edition): string
    {
        return $this->language->edition($edition);
    }

    /** In quotation marks; a comma or full stop that follows stands inside them in English, and after them elsewhere. */
    public function quoted(string $text, string $after = ''): string
    {
        return $this->language->quoted($text, $after);
    }

    /** Whether titles are set in English capitals. */
    public function isEnglish(string $language): bool
    {
        return str_starts_with(strtolower($language === '' ? $this->language->tag : $language), 'en');
    }
}
