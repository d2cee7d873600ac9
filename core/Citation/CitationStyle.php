<?php

declare(strict_types=1);

namespace Embrel\Citation;

use Embrel\Citation\Csl\CslError;
use Embrel\Citation\Csl\Locales;
use Embrel\Citation\Csl\Style;
use Embrel\Citation\Csl\StyleReader;
use Embrel\Language\Language;
use Embrel\Shelf\Shelf;

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

    /** What the list is called at the end of the draft. */
    public function heading(string $language): string
    {
        return Language::of($language)->say(match ($this) {
            self::Apa, self::ChicagoDates => 'references',
            self::Mla => 'worksCited',
            self::ChicagoNotes => 'bibliography',
            self::Numbered => 'sources',
        });
    }

    /** @param string $language a language tag */
    public function style(string $language): Style
    {
        /** @var array<string, Style> $read each is read once */
        static $read = [];

        return $read["{$this->value} {$language}"] ??= $this->read($language);
    }

    private function read(string $language): Style
    {
        $style = StyleReader::read(
            Shelf::style($this->value) ?? throw new CslError("There is no style “{$this->value}”."),
            new Locales(Shelf::locale(...)),
            $language,
            OwnWords::locale(Language::of($language)),
        );
        // 8.18: “et al.” is plural.
        $style->etAlIsPlural = $this === self::Apa;
        $style->casesMacros = true;

        return $style;
    }

    /** Whether “von” and its like stay before the name, wherever it stands (APA 8.6). */
    public function keepsParticles(): bool
    {
        return $this === self::Apa;
    }

    /** Whether titles are printed as they are typed. */
    public function keepsTitles(): bool
    {
        return $this === self::Numbered;
    }

    /**
     * What is printed as the manual has it where the standard has no word for it: the points of APA (9.8), the addresses
     * of MLA (5.84), no comma after a question in Chicago (6.125).
     */
    public function finished(string $flat): string
    {
        return match ($this) {
            self::Apa => (string) preg_replace('/, … (?=\p{Lu}[\p{L}’-]*,)/u', ', . . . ', $flat, 1),
            self::Mla => (string) preg_replace('~https?://(?!doi\.org/)~', '', $flat),
            self::ChicagoNotes => (string) preg_replace('/(?<=[?!]),(?=[\x15\x17])|(?<=[?!][\x15\x17]),/', '', $flat),
            default => $flat,
        };
    }
}
