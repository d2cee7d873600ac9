<?php

declare(strict_types=1);

namespace Embrel\Document;

use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\Words;

/** What counts as words of a draft. */
final readonly class Counted
{
    public function __construct(
        public bool $titles = false,
        public bool $quotations = true,
        public bool $footnotes = false,
        public bool $references = false,
    ) {}

    /** @param list<Element> $elements */
    public function in(array $elements): int
    {
        $words = 0;
        foreach ($elements as $element) {
            $words += match ($element->role) {
                Role::Heading, Role::Item => $this->titles ? Words::in($element->title) : 0,
                Role::Quote => $this->quotations ? Words::in($element->title) : 0,
                Role::Reference => $this->references ? Words::in($element->block?->plainText() ?? '') : 0,
                Role::Body => $element->block === null || ($element->inQuote && !$this->quotations) ? 0 : $this->block($element->block),
                default => 0,
            };
        }

        return $words;
    }

    private function block(Node $block): int
    {
        if ($block->type === NodeType::Blockquote && !$this->quotations) {
            return 0;
        }
        $words = Words::in($block->plainText());
        foreach ($this->footnotes ? $block->all() : [] as $node) {
            $words += $node->type === NodeType::Footnote ? Words::in(Node::paragraph($node->content)->plainText()) : 0;
        }

        return $words;
    }
}
