<?php

declare(strict_types=1);

namespace Embrel\Document;

use Embrel\Plan\Properties;
use Embrel\Plan\Scheme;

/** A draft ready to be written: what it is called, how it is numbered, and its elements in reading order. */
final readonly class Document
{
    /**
     * @param list<Element> $elements
     * @param list<array{element: Element, page: int}> $contents headings with an estimated page; empty: no contents list
     * @param array<string, int> $missing what a note refers to and the plan has no more → how often: `source`, `topicRef`
     */
    public function __construct(
        public string $title,
        public Properties $properties,
        public array $elements,
        public Scheme $scheme,
        public int $numberDepth,
        public array $contents = [],
        public array $missing = [],
    ) {}

    public function words(): int
    {
        $words = 0;
        foreach ($this->elements as $element) {
            $words += $element->role === Element::REFERENCE ? 0 : \Embrel\Words::in($element->block?->plainText() ?? '');
        }

        return $words;
    }
}
