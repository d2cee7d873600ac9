<?php

declare(strict_types=1);

namespace Embrel\Citation;

/** The styles that a plan can be printed in: the one table of them. */
enum CitationStyle: string
{
    case Apa = 'apa';
    case Mla = 'mla';
    case ChicagoDates = 'chicago-dates';
    case ChicagoNotes = 'chicago-notes';
    case Numbered = 'numbered';

    public function label(): string
    {
        return match ($this) {
            self::Apa => 'APA, 7th edition',
            self::Mla => 'MLA, 9th edition',
            self::ChicagoDates => 'Chicago, author and date',
            self::ChicagoNotes => 'Chicago, footnotes',
            self::Numbered => 'Numbers in brackets',
        };
    }

    /** @param string $language a language tag */
    public function style(string $language): Style\Style
    {
        $terms = Terms::of($language);

        return match ($this) {
            self::Apa => new Style\Apa($terms),
            self::Mla => new Style\Mla($terms),
            self::ChicagoDates => new Style\ChicagoDates($terms),
            self::ChicagoNotes => new Style\ChicagoNotes($terms),
            self::Numbered => new Style\Numbered($terms),
        };
    }
}
