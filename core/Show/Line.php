<?php

declare(strict_types=1);

namespace Embrel\Show;

/** A line of a step that appears: a part of the section, or a quotation. */
final readonly class Line
{
    /**
     * @param string $topic  what it is of; of a quotation in a note: the topic of the note
     * @param string $number empty for none
     * @param string $text   one line; of a quotation as many as it has
     * @param int    $level  how deep it stands under the section, from 1
     * @param bool   $isQuote
     * @param string $source of a quotation: what is cited in it, as the style of the plan prints it
     */
    public function __construct(
        public string $topic,
        public string $number,
        public string $text,
        public int $level = 1,
        public bool $isQuote = false,
        public string $source = '',
    ) {}
}
