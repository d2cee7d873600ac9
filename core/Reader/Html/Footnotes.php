<?php

declare(strict_types=1);

namespace Embrel\Reader\Html;

use Embrel\RichText\Node;
use Embrel\RichText\NodeType;

/** The footnotes of a web page: read where they are referred to, and left out where they stand. */
final class Footnotes
{
    private const SIGN = '/(?:footnote-ref|sdfootnoteanc|sdendnoteanc|noteref)/';
    /** Elements within a note by which some programs name it, instead of the note itself. */
    private const WITHIN = ['a', 'sup', 'span', 'p'];

    /** @var array<string, true> ids of those that were read */
    private array $read = [];

    public function __construct(private readonly \DOMDocument $page) {}

    /** The footnote that a raised sign leads to. */
    public function in(\DOMElement $raised): ?\DOMElement
    {
        foreach ($raised->childNodes as $child) {
            if ($child instanceof \DOMElement && $child->nodeName === 'a') {
                return $this->at($child);
            }
        }

        return null;
    }

    public function at(\DOMElement $link): ?\DOMElement
    {
        $isSign = $link->getAttribute('role') === 'doc-noteref' || preg_match(self::SIGN, $link->getAttribute('class')) === 1;
        $href = $link->getAttribute('href');
        if (!$isSign || !str_starts_with($href, '#')) {
            return null;
        }
        $note = $this->page->getElementById(substr($href, 1));
        while ($note instanceof \DOMElement && \in_array($note->nodeName, self::WITHIN, true) && self::isWithin($note->parentNode)) {
            $note = $note->parentNode;
        }

        return $note instanceof \DOMElement ? $note : null;
    }

    private static function isWithin(?\DOMNode $parent): bool
    {
        return $parent instanceof \DOMElement && $parent->nodeName !== 'body';
    }

    /**
     * @param list<Node> $blocks of the note
     *
     * @return list<Node> what a footnote holds of them: its lines without other footnotes and ways back
     */
    public function read(\DOMElement $note, array $blocks): array
    {
        $this->read[$note->getAttribute('id')] = true;
        $isKept = static fn(Node $one): bool => $one->type !== NodeType::Footnote && !str_starts_with((string) $one->link(), '#');
        $inlines = [];
        foreach ($blocks as $i => $block) {
            $line = $block->type === NodeType::Paragraph ? $block->content : Node::plain($block->plainText())->content;
            array_push($inlines, ...$i > 0 ? [new Node(NodeType::HardBreak)] : [], ...array_values(array_filter($line, $isKept)));
        }
        $last = array_pop($inlines);
        if ($last !== null) {
            $text = $last->isText() ? rtrim($last->text) : '';
            $inlines[] = $text === '' ? $last : Node::text($text, $last->marks);
        }

        return $inlines;
    }

    /** Whether it is a footnote that stands where it was referred to, or a sign that leads back there. */
    public function isNoteOrBackLink(\DOMElement $node): bool
    {
        $role = $node->getAttribute('role');

        return isset($this->read[$node->getAttribute('id')])
            || ($role === 'doc-endnotes' && $this->read !== [])
            || $role === 'doc-backlink';
    }
}
