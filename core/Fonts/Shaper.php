<?php

declare(strict_types=1);

namespace Embrel\Fonts;

/** What programs of the machine do for scripts whose letters join, turn and run from right to left. Each is asked once for many. */
interface Shaper
{
    /**
     * @param list<array{font: InstalledFont, name: string, text: string, isRightToLeft: bool}> $runs each of one script and direction
     *
     * @return list<Glyphs> one for each
     */
    public function shape(array $runs, string $language): array;

    /**
     * In which direction the signs of paragraphs are read (UAX #9).
     *
     * @param list<string> $paragraphs without line ends
     *
     * @return list<list<int>> for each: the level of the paragraph, then that of each of its signs; odd is from right to left
     */
    public function levels(array $paragraphs): array;

    /**
     * Fonts without the glyphs that were not used; those that are left keep their numbers.
     *
     * @param list<array{font: InstalledFont, glyphs: list<int>}> $fonts
     *
     * @return list<string> the bytes of each
     */
    public function cut(array $fonts): array;
}
