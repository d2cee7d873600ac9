<?php

declare(strict_types=1);

namespace Embrel\Prompt\Drafting;

use Embrel\RichText\Node;

/** A stretch of a first draft that comes from one place: a sentence of a title, a paragraph of a note, a quotation, or scaffolding. */
final readonly class Piece
{
    public const TITLE = 'title';
    public const NOTE = 'note';
    public const QUOTATION = 'quotation';
    public const SCAFFOLD = 'scaffold';

    /**
     * @param list<Node> $inlines
     * @param string     $from  the topic that it comes from
     * @param string     $block of its note; '' where it comes from the title
     */
    public function __construct(public string $what, public array $inlines, public string $from, public string $block = '') {}

    public function text(): string
    {
        return implode('', array_map(static fn(Node $node): string => $node->plainText(), $this->inlines));
    }
}
