<?php

declare(strict_types=1);

namespace Embrel\Search;

use Embrel\Operation\Compound;
use Embrel\Operation\EditNote;
use Embrel\Operation\Retitle;
use Embrel\Plan\Plan;
use Embrel\RichText\Node;

/** Puts other words in the place of hits, as one operation. The new words are set like the first of those they replace. */
final class Replacement
{
    private const NAMED = 60;

    /**
     * @param list<Hit>                     $hits of the plan as it stands
     * @param string|\Closure(Hit): string $with the same for all, or what each is replaced with
     */
    public static function of(Plan $plan, array $hits, string|\Closure $with): Compound
    {
        $with = \is_string($with) ? static fn(Hit $hit): string => $with : $with;
        $titles = $blocks = [];
        foreach ($hits as $hit) {
            if ($hit->block === null) {
                $titles[$hit->topic][] = $hit;
            } else {
                $blocks[$hit->topic][$hit->block][$hit->line][] = $hit;
            }
        }
        $operations = [];
        foreach ($titles as $id => $ofTitle) {
            $operations[] = new Retitle($id, self::replaced($plan->topic($id)->title, $ofTitle, $with));
        }
        foreach ($blocks as $id => $lines) {
            $note = $plan->topic($id)->note;
            $put = array_map(
                static fn(string $block): Node => self::block($note->blocks[$block] ?? Node::plain('', $block), $lines[$block], $with),
                array_keys($lines),
            );
            $operations[] = new EditNote(
                $id,
                $put,
                [],
                null,
                array_map(
                    static fn(string $block): ?string => EditNote::fingerprint($note->blocks[$block] ?? null),
                    array_combine(array_keys($lines), array_keys($lines)),
                ),
            );
        }

        return new Compound($operations);
    }

    /** What it is called in the history and for undo. */
    public static function says(Query $query, string $with, int $places): string
    {
        [$from, $to] = array_map(static fn(string $text): string => mb_strimwidth($text, 0, self::NAMED, '…'), [$query->text, $with]);

        return "Replaced “{$from}” with “{$to}” in {$places} " . ($places === 1 ? 'place' : 'places');
    }

    /**
     * @param list<Hit>             $hits
     * @param \Closure(Hit): string $with
     */
    private static function replaced(string $text, array $hits, \Closure $with): string
    {
        foreach (array_reverse($hits) as $hit) {
            $text = mb_substr($text, 0, $hit->from) . $with($hit) . mb_substr($text, $hit->from + $hit->length);
        }

        return $text;
    }

    /**
     * @param array<int, list<Hit>> $lines
     * @param \Closure(Hit): string $with
     */
    private static function block(Node $block, array $lines, \Closure $with): Node
    {
        return Lines::map($block, static fn(Node $line, int $i): Node => isset($lines[$i]) ? self::line($line, $lines[$i], $with) : $line);
    }

    /**
     * Walks along the inlines and the hits together; within a hit nothing is kept but the new words.
     *
     * @param list<Hit>             $hits in order
     * @param \Closure(Hit): string $with
     */
    private static function line(Node $line, array $hits, \Closure $with): Node
    {
        $content = [];
        $at = 0;
        foreach ($line->content as $inline) {
            $length = $inline->isText() ? mb_strlen($inline->text) : 1;
            $text = '';
            $kept = 0;
            foreach ($hits as $hit) {
                $from = max($hit->from - $at, 0);
                $to = min($hit->from + $hit->length - $at, $length);
                if ($from >= $length || $to <= 0) {
                    continue;
                }
                $text .= mb_substr($inline->text, $kept, $from - $kept) . ($hit->from >= $at ? $with($hit) : '');
                $kept = $to;
            }
            $at += $length;
            if (!$inline->isText()) {
                $content = $kept === 0 ? [...$content, $inline] : [...$content, ...$text === '' ? [] : [Node::text($text)]];
                continue;
            }
            $text .= mb_substr($inline->text, $kept);
            if ($text !== '') {
                $content[] = Node::text($text, $inline->marks);
            }
        }

        return new Node($line->type, $line->attrs, $content, $line->text, $line->marks);
    }
}
