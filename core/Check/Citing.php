<?php

declare(strict_types=1);

namespace Embrel\Check;

use Embrel\Citation\Cited;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;
use Embrel\RichText\NodeType;

/** Where each source is cited, and which quotations name none. */
final readonly class Citing
{
    private const EXCERPT = 120;

    /**
     * @param array<string, list<string>>                    $places
     *     source → topics whose notes cite it, in reading order, once a citation
     * @param list<array{topic: string, text: string}>       $unsourced  quotations without a source
     */
    private function __construct(public array $places, public array $unsourced) {}

    /** @param Plan $plan with its notes */
    public static function of(Plan $plan): self
    {
        $places = $unsourced = [];
        foreach ([Plan::ROOT, ...$plan->standing()] as $id) {
            $topic = $plan->topic($id);
            $blocks = $topic->note->blocks ?? [];
            $cites = 0;
            foreach ($blocks as $block) {
                $before = $cites;
                foreach ($block->all() as $node) {
                    foreach ($node->type === NodeType::Citation ? Cited::of($node) : [] as $cited) {
                        $places[$cited->source][] = $id;
                        ++$cites;
                    }
                }
                if ($block->type === NodeType::Blockquote && $cites === $before && trim($block->plainText()) !== '') {
                    $unsourced[] = ['topic' => $id, 'text' => self::excerpt($block->plainText())];
                }
            }
            if ($topic->kind === Kind::Quote && $cites === 0 && $topic->title !== '') {
                $unsourced[] = ['topic' => $id, 'text' => self::excerpt($topic->title)];
            }
        }

        return new self($places, $unsourced);
    }

    private static function excerpt(string $text): string
    {
        return mb_strimwidth(trim(preg_replace('/\s+/u', ' ', $text) ?? $text), 0, self::EXCERPT, '…');
    }
}
