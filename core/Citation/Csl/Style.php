<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl;

/** A style that was read: what it says of citations and of the list, ready to be carried out. */
final class Style
{
    public Layout $citation;

    public ?Layout $bibliography = null;

    /** Whether the layout of the citations says itself where the letter after a year stands. */
    public bool $placesLetters = false;

    /** Whether “et al.” never stands for the last name alone, as it is a plural. */
    public bool $etAlIsPlural = false;

    /** Whether a macro is set in the case that is asked for it, as the standard says. The reference does not, and styles count on that. */
    public bool $casesMacros = false;

    /** @var array<string, true> variables that it prints or asks for; “disambiguate” and “position”, where what it prints depends on them */
    public array $calls = [];

    /** Whether citations are numbers in the list. */
    public bool $citesNumbers = false;

    /** What its printing may still cost, while it is printed. */
    public ?Effort $effort = null;

    /**
     * @param string $language  in which it is printed unless told otherwise
     * @param string $pages     page-range-format
     * @param string $demotes   demote-non-dropping-particle
     * @param bool   $hyphens   whether initials keep their hyphen
     * @param bool   $bindsParticles whether no line ends between a particle and its name
     */
    public function __construct(
        public readonly bool $inNotes,
        public readonly string $language,
        public readonly string $pages,
        public readonly string $demotes,
        public readonly bool $hyphens,
        public readonly bool $bindsParticles,
        public readonly Locale $locale,
    ) {}
}
