<?php

declare(strict_types=1);

namespace Embrel\Pages;

/** Lines that belong together: a paragraph, an item, a picture, a table. */
final class Group
{
    /**
     * @param list<Line>           $lines
     * @param float                $before   space above it, which falls away at the top of a page
     * @param float                $after    space below it
     * @param bool                 $keepsNext it stays on one page with the beginning of what follows
     * @param list<Row>            $rows     of a table, instead of lines
     * @param int                  $heads    how many of them are repeated on each page
     */
    public function __construct(
        public array $lines,
        public float $before = 0.0,
        public float $after = 0.0,
        public bool $keepsNext = false,
        public bool $startsPage = false,
        public array $rows = [],
        public int $heads = 0,
    ) {}
}
