<?php

declare(strict_types=1);

namespace Embrel\Citation;

/** The connecting words of reference lists in the language of the plan: German, else English. */
final readonly class Terms
{
    private const WORDS = [
        'en' => [
            'and' => 'and',
            'etAl' => 'et al.',
            'editor' => 'Ed.',
            'editors' => 'Eds.',
            'editorLong' => 'editor',
            'editorsLong' => 'editors',
            'editedBy' => 'edited by',
            'edBy' => 'ed.',
            'director' => 'Director',
            'directors' => 'Directors',
            'directorShort' => 'dir.',
            'directedBy' => 'Directed by',
            'in' => 'In',
            'inLow' => 'in',
            'noDate' => 'n.d.',
            'page' => 'p.',
            'pages' => 'pp.',
            'edition' => '%s ed.',
            'volume' => 'vol.',
            'Volume' => 'Vol.',
            'issue' => 'no.',
            'circa' => 'ca. ',
            'retrieved' => 'Retrieved %s, from',
            'accessed' => 'Accessed %s',
            'accessedLow' => 'accessed %s',
            'personal' => 'personal communication',
            'film' => 'Film',
            'interview' => 'Interview',
            'thesis' => 'Thesis',
            'noSource' => 'source missing',
            'noTitle' => 'Untitled',
        ],
        'de' => [
            'and' => 'und',
            'etAl' => 'et al.',
            'editor' => 'Hrsg.',
            'editors' => 'Hrsg.',
            'editorLong' => 'Hrsg.',
            'editorsLong' => 'Hrsg.',
            'editedBy' => 'herausgegeben von',
            'edBy' => 'hrsg. von',
            'director' => 'Regie',
            'directors' => 'Regie',
            'directorShort' => 'Regie',
            'directedBy' => 'Regie:',
            'in' => 'In',
            'inLow' => 'in',
            'noDate' => 'o. J.',
            'page' => 'S.',
            'pages' => 'S.',
            'edition' => '%s Aufl.',
            'volume' => 'Bd.',
            'Volume' => 'Bd.',
            'issue' => 'Nr.',
            'circa' => 'ca. ',
            'retrieved' => 'Abgerufen am %s von',
            'accessed' => 'Zugriff am %s',
            'accessedLow' => 'Zugriff am %s',
            'personal' => 'persönliche Mitteilung',
            'film' => 'Film',
            'interview' => 'Interview',
            'thesis' => 'Abschlussarbeit',
            'noSource' => 'Quelle fehlt',
            'noTitle' => 'Ohne Titel',
        ],
    ];
    private const MONTHS = [
        'en' => ['January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October', 'November', 'December'],
        'de' => ['Januar', 'Februar', 'März', 'April', 'Mai', 'Juni', 'Juli', 'August', 'September', 'Oktober', 'November', 'Dezember'],
    ];
    private const SHORT_MONTHS = [
        'en' => ['Jan.', 'Feb.', 'Mar.', 'Apr.', 'May', 'June', 'July', 'Aug.', 'Sept.', 'Oct.', 'Nov.', 'Dec.'],
        'de' => ['Jan.', 'Feb.', 'März', 'Apr.', 'Mai', 'Juni', 'Juli', 'Aug.', 'Sept.', 'Okt.', 'Nov.', 'Dez.'],
    ];

    private function __construct(public string $language, public bool $isGerman) {}

    /** @param string $language a language tag */
    public static function of(string $language): self
    {
        return new self($language, str_starts_with(strtolower($language), 'de'));
    }

    public function say(string $word): string
    {
        return self::WORDS[$this->isGerman ? 'de' : 'en'][$word];
    }

    /** Within a sentence: German nouns keep their capital. */
    public function low(string $word): string
    {
        return $this->isGerman ? $this->say($word) : mb_strtolower($this->say($word));
    }

    /** May 3, 1994; 3. Mai 1994. */
    public function day(PartialDate $date): string
    {
        $month = $date->month === null ? '' : self::MONTHS[$this->isGerman ? 'de' : 'en'][$date->month - 1];
        $day = $date->day;
        if ($this->isGerman) {
            return $this->year($date, ($day === null ? '' : "{$day}. ") . ($month === '' ? '' : "{$month} "));
        }

        return $month === '' ? $this->year($date) : $month . ($day === null ? '' : " {$day},") . ' ' . $this->year($date);
    }

    /** May 3 of a date whose year is printed elsewhere: 3. Mai; empty where no month is known. */
    public function monthAndDay(PartialDate $date): string
    {
        if ($date->month === null) {
            return '';
        }
        $month = self::MONTHS[$this->isGerman ? 'de' : 'en'][$date->month - 1];

        return $date->day === null ? $month : ($this->isGerman ? "{$date->day}. {$month}" : "{$month} {$date->day}");
    }

    /** 3 May 1994, with short months: 12 Sept. 2001. */
    public function dayFirst(PartialDate $date): string
    {
        $month = $date->month === null ? '' : self::SHORT_MONTHS[$this->isGerman ? 'de' : 'en'][$date->month - 1] . ' ';

        return $this->year($date, ($date->day === null ? '' : $date->day . ($this->isGerman ? '. ' : ' ')) . $month);
    }

    /** The year, about then where it is not sure; or the words that stand for a date. */
    public function year(PartialDate $date, string $before = ''): string
    {
        return $date->year === null ? $date->words : ($date->circa ? $this->say('circa') : '') . $before . $date->year;
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
        if (preg_match('/\A(\d+)(?:\.|st|nd|rd|th)?\z/', $edition, $m) === 1) {
            $edition = $this->isGerman ? "{$m[1]}." : self::ordinal((int) $m[1]);
        }

        return preg_match('/(?:\bed(?:ition)?|Aufl(?:age)?)\b\.?/iu', $edition) === 1
            ? $edition
            : \sprintf($this->say('edition'), $edition);
    }

    private static function ordinal(int $n): string
    {
        return $n . ($n % 100 >= 11 && $n % 100 <= 13 ? 'th' : ['th', 'st', 'nd', 'rd'][$n % 10] ?? 'th');
    }

    /** In quotation marks; a comma or full stop that follows stands inside them in English, and after them in German. */
    public function quoted(string $text, string $after = ''): string
    {
        if (preg_match('/[.?!…]\z/u', $text) === 1 && $after !== '') {
            $after = '';
        }

        return $this->isGerman ? "„{$text}“{$after}" : "“{$text}{$after}”";
    }

    /** Whether titles are set in English capitals. */
    public function isEnglish(string $language): bool
    {
        return str_starts_with(strtolower($language === '' ? $this->language : $language), 'en');
    }
}
