<?php

declare(strict_types=1);

namespace Embrel\Citation;

use Embrel\Language\Language;

/** How years and pages, and the words for them, are written where a citation is only named, in the language of the plan. */
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
}
