<?php

declare(strict_types=1);

namespace Embrel\Prompt\Drafting;

use Embrel\Id\Ids;
use Embrel\RichText\Mark;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;

/** The first draft of one section, to be rewritten: paragraphs of pieces, and between them what is no prose. */
final class Sketch
{
    /** @var list<list<Piece>|array{Node, string, string}> paragraphs; or a block with the topic and the block that it comes from */
    public array $parts = [];
    private bool $isOpen = false;

    /** What comes next begins a paragraph of its own. */
    public function paragraph(): void
    {
        $this->isOpen = false;
    }

    public function add(Piece $piece): void
    {
        if ($piece->inlines === []) {
            return;
        }
        if (!$this->isOpen) {
            $this->parts[] = [];
            $this->isOpen = true;
        }
        /** @var list<Piece> $last */
        $last = array_pop($this->parts);
        $this->parts[] = [...$last, $piece];
    }

    public function block(Node $block, string $from): void
    {
        $this->parts[] = [$block, $from, (string) $block->id()];
        $this->isOpen = false;
    }

    /** Whether there is anything in it that the writer wrote or cited. */
    public function hasOwn(): bool
    {
        foreach ($this->parts as $part) {
            foreach ($part as $piece) {
                if (!($piece instanceof Piece) || $piece->what !== Piece::SCAFFOLD) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return list<Node> blocks for a note, with ids of their own */
    public function blocks(Ids $ids): array
    {
        $blocks = [];
        foreach ($this->parts as $part) {
            if (($part[0] ?? null) instanceof Node) {
                $blocks[] = $part[0]->withId($ids->next());
                continue;
            }
            $inlines = [];
            $hasOwn = false;
            foreach ($part as $piece) {
                if ($piece instanceof Piece) {
                    $isOwn = $piece->what !== Piece::SCAFFOLD;
                    // The space before it goes with the scaffolding, unless it stands between two things that stay.
                    $gap = Node::text(' ', $isOwn && $hasOwn ? [] : [new Mark(MarkType::Scaffold)]);
                    array_push($inlines, ...$inlines === [] ? [] : [$gap], ...$piece->inlines);
                    $hasOwn = $hasOwn || $isOwn;
                }
            }
            $blocks[] = Node::paragraph(self::joined($inlines), $ids->next());
        }

        return $blocks;
    }

    /**
     * @param list<Node> $inlines
     *
     * @return list<Node> runs that are set alike as one
     */
    private static function joined(array $inlines): array
    {
        $out = [];
        foreach ($inlines as $node) {
            $last = array_pop($out);
            array_push($out, ...match (true) {
                $last === null => [$node],
                $last->isText() && $node->isText() && $last->marks == $node->marks => [Node::text($last->text . $node->text, $last->marks)],
                default => [$last, $node],
            });
        }

        return $out;
    }
}
