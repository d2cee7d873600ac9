<?php

declare(strict_types=1);

namespace Embrel\Pages;

use Embrel\Fonts\Typefaces;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;

/** Tables: columns as wide as what they hold asks for, within the width there is. */
final class Tables
{
    /** Only so many rows are looked at to find how wide a column is. */
    private const LOOKED_AT = 60;

    public function __construct(
        private readonly Blocks $blocks,
        private readonly Typefaces $faces,
        private readonly Setting $text,
        private readonly Structure $structure,
    ) {}

    /** @param int $parent the tag under which it stands */
    public function of(Node $table, float $indent, float $width, int $parent): Group
    {
        $tag = $this->structure->add('Table', $parent);
        $columns = max([1, ...array_map(static fn(Node $row): int => \count($row->content), $table->content)]);
        $edges = $this->edges($table, $columns, $indent, $width);
        $rows = [];
        $heads = 0;
        foreach ($table->content as $i => $row) {
            $isHead = !\in_array(NodeType::TableCell, array_map(static fn(Node $cell): NodeType => $cell->type, $row->content), true);
            $heads += $isHead && $heads === $i ? 1 : 0;
            $rows[] = new Row($this->cells($row, $columns, $edges, $this->structure->add('TR', $tag), $isHead), $edges, $isHead);
        }

        return new Group([], 4.0, 10.0, rows: $rows, heads: min($heads, 3));
    }

    /**
     * @param list<float> $edges
     * @param int         $tag    of the row
     *
     * @return list<list<Line>>
     */
    private function cells(Node $row, int $columns, array $edges, int $tag, bool $isHead): array
    {
        $cells = [];
        for ($c = 0; $c < $columns; ++$c) {
            $lines = [];
            $isHeadCell = ($row->content[$c]->type ?? null) === NodeType::TableHeader;
            $cell = $this->structure->add($isHeadCell ? 'TH' : 'TD', $tag, more: $isHeadCell ? ($isHead ? 'Column' : 'Row') : '');
            $room = $edges[$c + 1] - $edges[$c] - 2 * Row::PADDING;
            foreach ($row->content[$c]->content ?? [] as $k => $node) {
                foreach ($this->blocks->inCell($node, $room, $cell) as $group) {
                    $k > 0 && $lines !== [] ? ($lines[] = Line::space(3.0)) : null;
                    array_push($lines, ...$group->lines);
                }
            }
            $cells[] = $lines;
        }

        return $cells;
    }

    /** @return list<float> */
    private function edges(Node $table, int $columns, float $indent, float $width): array
    {
        $natural = array_fill(0, $columns, 24.0);
        $least = array_fill(0, $columns, 24.0);
        foreach (\array_slice($table->content, 0, self::LOOKED_AT) as $row) {
            foreach ($row->content as $c => $cell) {
                $text = mb_strcut($cell->plainText(), 0, 400);
                foreach (explode("\n", $text) as $line) {
                    $natural[$c] = max(
                        $natural[$c],
                        $this->faces->width($line, $this->text->face(), $this->text->size) + 2 * Row::PADDING + 2.0,
                    );
                }
                foreach (preg_split('/\s+/u', $text) ?: [] as $word) {
                    $least[$c] = max(
                        $least[$c],
                        min($width / 3, $this->faces->width($word, $this->text->face(), $this->text->size) + 2 * Row::PADDING + 2.0),
                    );
                }
            }
        }
        $room = $width - $indent;
        [$wants, $needs] = [array_sum($natural), array_sum($least)];
        $widths = match (true) {
            $wants <= $room => $natural,
            $needs >= $room => array_map(static fn(float $one): float => ($one * $room) / $needs, $least),
            default => array_map(
                static fn(float $want, float $need): float => $need + (($want - $need) * ($room - $needs)) / max(1.0, $wants - $needs),
                $natural,
                $least,
            ),
        };
        $edges = [$indent];
        foreach ($widths as $wide) {
            $edges[] = $edges[\count($edges) - 1] + $wide;
        }

        return $edges;
    }
}
