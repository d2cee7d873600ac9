<?php

declare(strict_types=1);

namespace Embrel\Show;

/** One section as it is shown: what stands there at once, and the lines that appear after each other. */
final readonly class Step
{
    /**
     * @param string     $topic   the root for the opening
     * @param string     $number  empty for none
     * @param int        $level   from 1; 0 for the opening
     * @param string     $dye     a name of Palette::DYES, or a colour
     * @param string     $main    the main section that it is of; empty for the opening
     * @param string     $under   of the opening: what stands under the title
     * @param list<Line> $lines
     * @param list<Shot> $shots
     * @param string     $note    what is said with it: plain text, paragraphs on lines of their own
     * @param int        $words   of the note
     * @param int        $part    which of several that one section takes, from 0
     * @param float      $scale   of the type, so that all of it finds room; 1 at the most
     */
    public function __construct(
        public string $topic,
        public string $number,
        public string $title,
        public int $level,
        public string $dye,
        public string $main = '',
        public string $under = '',
        public array $lines = [],
        public array $shots = [],
        public string $note = '',
        public int $words = 0,
        public int $part = 0,
        public float $scale = 1.0,
    ) {}

    /** @param array<string, mixed> $changes field → value of the field's own type */
    public function with(array $changes): self
    {
        return new self(...$changes + get_object_vars($this)); // @phpstan-ignore argument.type (each caller passes the field's own type)
    }

    /** How often one goes on within it before the next one comes. */
    public function stops(bool $oneByOne): int
    {
        return 1 + ($oneByOne ? \count($this->lines) : 0);
    }
}
