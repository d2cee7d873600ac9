<?php

declare(strict_types=1);

namespace Embrel\Citation;

/** The styles that are written here, each from its manual, with what that asks and the standard has no word for. */
enum Manual: string
{
    case Apa = 'apa';
    case Mla = 'mla';
    case ChicagoDates = 'chicago-dates';
    case ChicagoNotes = 'chicago-notes';
    case Numbered = 'numbered';

    public function style(): CitationStyle
    {
        return new CitationStyle($this->value);
    }

    /** Whether “et al.” never stands for one name alone (APA 8.18). */
    public function etAlIsPlural(): bool
    {
        return $this === self::Apa;
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
