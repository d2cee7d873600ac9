<?php

declare(strict_types=1);

namespace Embrel\Writer\TextOutline;

use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;

/** A note as lines of plain text that still look like what they were: lists with their signs, tables in columns. */
final class TextNote
{
    /** A cell that is longer than this, in columns of type, runs over the edge of its column. */
    private const WIDEST = 40;

    public static function of(Note $note): string
    {
        return rtrim(implode("\n", array_merge([], ...array_map(self::lines(...), array_values($note->blocks)))));
    }

    /** @return list<string> */
    private static function lines(Node $block): array
    {
        return match ($block->type) {
            NodeType::BulletList, NodeType::OrderedList, NodeType::TaskList => self::list($block),
            NodeType::Table => self::table($block),
            NodeType::Blockquote => array_map(static fn(string $line): string => rtrim("> {$line}"), self::within($block)),
            NodeType::HorizontalRule => ['* * *'],
            default => explode("\n", $block->plainText(true)),
        };
    }

    /** @return list<string> */
    private static function within(Node $node): array
    {
        return array_merge([], ...array_map(self::lines(...), $node->content));
    }

    /** @return list<string> */
    private static function list(Node $list): array
    {
        $out = [];
        foreach ($list->content as $i => $item) {
            $sign = match ($list->type) {
                NodeType::OrderedList => ($list->int('start', 1) + $i) . '. ',
                NodeType::TaskList => ($item->attrs['checked'] ?? false) === true ? '[x] ' : '[ ] ',
                default => '- ',
            };
            foreach (self::within($item) as $k => $line) {
                $out[] = $k === 0 ? $sign . $line : rtrim(str_repeat(' ', \strlen($sign)) . $line);
            }
        }

        return $out;
    }

    /** @return list<string> */
    private static function table(Node $table): array
    {
        $cell = static fn(Node $cell): string => trim(preg_replace('/\s+/u', ' ', $cell->plainText(true)) ?? '');
        $rows = array_map(static fn(Node $row): array => array_map($cell, $row->content), $table->content);
        $widths = [];
        foreach ($rows as $row) {
            foreach ($row as $c => $text) {
                $widths[$c] = max($widths[$c] ?? 0, min(self::WIDEST, mb_strwidth($text)));
            }
        }
        $filled = static fn(string $text, int $width): string => $text . str_repeat(' ', max(0, $width - mb_strwidth($text)));
        $out = [];
        foreach ($rows as $r => $row) {
            $out[] = rtrim(implode('  ', array_map($filled, $row, \array_slice($widths, 0, \count($row)))));
            if ($r === 0 && ($table->content[0]->content[0] ?? null)?->type === NodeType::TableHeader) {
                $out[] = implode('  ', array_map(static fn(int $width): string => str_repeat('-', max(1, $width)), $widths));
            }
        }

        return $out;
    }
}
