<?php

declare(strict_types=1);

namespace Embrel\Intake;

use Embrel\Limits;

/** What a writer chose for one intake. */
final readonly class Options
{
    /**
     * @param string $title        the plan's title where the file has none
     * @param bool   $stripNumbers typed numbers before titles go, where they run in sequence
     * @param bool   $descriptions OPML: `description` is read as the note where there is no other
     * @param bool   $lists        list items become points also beside headings, instead of standing in the note
     * @param bool   $notes        false: titles alone
     * @param int    $depth        how deep topics go; what stands deeper is a heading in a note
     * @param bool|null $firstIsTitle the first heading of the first level is the plan's title, if no other has that level;
     *                             null: where it holds all the others, and no title was given
     * @param bool|null $boldLines paragraphs that are one bold line become headings; null: where there are no others
     * @param bool   $keepsLeftOut contents lists and what leads around a site come in too
     * @param bool   $refusesRecorded
     *     word processors: as if changes that were recorded and are open had never been made; false: as if all
     *     were accepted
     * @param bool   $references  links to topics that come with the file are references to them again
     */
    public function __construct(
        public string $title = 'Untitled',
        public bool $stripNumbers = false,
        public bool $descriptions = false,
        public bool $lists = false,
        public bool $notes = true,
        public int $depth = Limits::LEVELS,
        public ?bool $firstIsTitle = false,
        public ?bool $boldLines = null,
        public bool $references = true,
        public bool $keepsLeftOut = false,
        public bool $refusesRecorded = false,
    ) {}
}
