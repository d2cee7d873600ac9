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
    /** @var list<list<Piece>> paragraphs; a block that is no prose is a piece alone */
    public array $parts = [];
    private bool $isOpen = false;

    /** What comes next begins a paragraph of its own. */
    public function paragraph(): void
    {
        $this->isOpen = false;
    }

    public function add(Piece $piece): void
    {
        if ($piece->nodes === []) {
            return;
        }
        if (!$this->isOpen) {
            $this->parts[] = [];
            $this->isOpen = true;
        }
        $this->parts[] = [...(array) array_pop($this->parts), $piece];
    }

    public function block(Node $block, string $from): void
    {
        $this->parts[] = [new Piece($block->type->value, [$block], $from)];
        $this->isOpen = false;
    }

    /** @return list<Piece> */
    public function pieces(): array
    {
        return array_merge(...$this->parts);
    }

    /** Whether there is anything in it that the writer wrote or cited. */
    public function hasOwn(): bool
    {
        return array_filter($this->pieces(), static fn(Piece $piece): bool => $piece->what !== Piece::SCAFFOLD) !== [];
    }

    /** @return list<Node> blocks for a note, with ids of their own */
    public function blocks(Ids $ids): array
    {
        return array_map(
            static fn(array $part): Node => ($part[0] ?? null)?->block()?->withId($ids->next()) ?? self::prose($part, $ids->next()),
            $this->parts,
        );
    }

    /** @param list<Piece> $pieces */
    private static function prose(array $pieces, string $id): Node
    {
        $inlines = [];
        $hasOwn = false;
        foreach ($pieces as $piece) {
            $isOwn = $piece->what !== Piece::SCAFFOLD;
            // The space before it goes with the scaffolding, unless it stands between two things that stay.
            $gap = Node::text(' ', $isOwn && $hasOwn ? [] : [new Mark(MarkType::Scaffold)]);
            array_push($inlines, ...$inlines === [] ? [] : [$gap], ...$piece->nodes);
            $hasOwn = $hasOwn || $isOwn;
        }

        return Node::paragraph(Node::runs($inlines), $id);
    }
}
