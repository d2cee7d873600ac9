<?php

declare(strict_types=1);

namespace Embrel\Check\Text;

use Embrel\Search\Hit;

/** A place in a note that a rule may have something to say about. */
final readonly class Spot
{
    /**
     * @param string $sign   what was seen there; one of Reading's names
     * @param int    $line   which line of the block, as Search\Lines divides it
     * @param int    $from   in characters
     * @param string $text   what stands there, with some of what is around it
     * @param int    $words  of a sentence or a paragraph
     */
    public function __construct(
        public string $sign,
        public string $block,
        public int $line,
        public int $from,
        public int $length,
        public string $text,
        public int $words = 0,
    ) {}

    /** The place as Find names one, so that it is gone to and painted the same way. */
    public function hit(string $topic): Hit
    {
        return new Hit($topic, $this->block === '' ? null : $this->block, $this->line, $this->from, $this->length, $this->text);
    }
}
