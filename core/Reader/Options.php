<?php

declare(strict_types=1);

namespace Embrel\Reader;

/** How a file is to be read. */
final readonly class Options
{
    /**
     * @param string $title        the plan's title where the file has none
     * @param bool   $stripNumbers typed numbers before titles go, where they run in sequence
     * @param bool   $descriptions OPML: `description` is read as the note where there is no other
     * @param bool   $lists        Markdown: list items become topics also beside headings
     */
    public function __construct(
        public string $title = 'Untitled',
        public bool $stripNumbers = false,
        public bool $descriptions = false,
        public bool $lists = false,
    ) {}
}
