<?php

declare(strict_types=1);

namespace Embrel\Prompt\Drafting;

use Embrel\RichText\Mark;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;
use Embrel\RichText\Schema;

/**
 * A stretch of a first draft that comes from one place: a sentence of a title, a paragraph of a note, a quotation,
 * scaffolding, or a block that is no prose.
 */
final readonly class Piece
{
    public const TITLE = 'title';
    public const NOTE = 'note';
    public const QUOTATION = 'quotation';
    public const SCAFFOLD = 'scaffold';

    /**
     * @param string     $what  one of these, or the type of the block that it is
     * @param list<Node> $nodes inlines, or one block
     * @param string     $from  the topic that it comes from
     */
    public function __construct(public string $what, public array $nodes, public string $from) {}

    public static function scaffold(string $text, string $from): self
    {
        return new self(self::SCAFFOLD, [Node::text($text, [new Mark(MarkType::Scaffold)])], $from);
    }

    /** What is no prose and stands by itself; null: it goes on in its paragraph. */
    public function block(): ?Node
    {
        return $this->nodes === [] || Schema::isInline($this->nodes[0]->type) ? null : $this->nodes[0];
    }

    public function text(): string
    {
        return implode('', array_map(static fn(Node $node): string => $node->plainText(), $this->nodes));
    }
}
