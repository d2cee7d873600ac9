<?php

declare(strict_types=1);

namespace Embrel\Citation\Style;

/** In what a style goes its own way through the whole work. */
final readonly class Ways
{
    /**
     * @param bool $inNotes        citations stand in footnotes
     * @param bool $byName         the list goes by names, and not by when each was first cited
     * @param bool $letters        works of the same people and year are told apart by letters
     * @param bool $keepsParticles a particle such as “von” counts in the alphabet
     */
    public function __construct(
        public bool $inNotes = false,
        public bool $byName = true,
        public bool $letters = false,
        public bool $keepsParticles = false,
    ) {}
}
