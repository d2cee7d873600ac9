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
     */
    public function __construct(
        public string $title,
        public Properties $properties,
        public array $elements,
        public Scheme $scheme,
        public int $numberDepth,
        public array $contents = [],
    ) {}

    public function words(): int
    {
        $words = 0;
        foreach ($this->elements as $element) {
            $words += \Embrel\Words::in($element->block?->plainText() ?? '');
        }

        return $words;
    }

    /** The number that a topic has in this draft; empty where it has none, or is not in it. */
    public function numberOf(string $topic): string
    {
        foreach ($this->elements as $element) {
            if ($element->topic === $topic && $element->role !== Element::BODY) {
                return $element->number;
            }
        }

        return '';
    }
}
