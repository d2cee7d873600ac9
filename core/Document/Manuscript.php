<?php

declare(strict_types=1);

namespace Embrel\Document;

use Embrel\Citation\Source;

/** A document that was read: what it is called, its elements in reading order, and what could not be read. */
final readonly class Manuscript
{
    /**
     * @param string             $title    empty where the document names none
     * @param list<Element>      $elements
     *     headings, with the id of their topic where the document carries one; blocks; points and quotes that
     *     were topics
     * @param array<string, int> $remarks  a sentence of what was repaired or left out → how often
     * @param bool               $isOutline whether lists are its outline where it has no headings
     * @param list<Heard>        $heard    recorded changes and comments before the first topic
     * @param Origin|null        $origin   of which plan it is a draft, where it says so
     * @param array<string, Source> $sources by id: what its citations carry along
     * @param string             $language a language tag; empty where the document names none
     */
    public function __construct(
        public string $title,
        public string $subtitle,
        public string $author,
        public string $language,
        public array $elements,
        public array $remarks,
        public bool $isOutline = false,
        public ?Origin $origin = null,
        public array $heard = [],
        public array $sources = [],
    ) {}
}
