<?php

declare(strict_types=1);

namespace Embrel\Intake\WayBack;

use Embrel\Draft\Figures;
use Embrel\Plan\Edit;
use Embrel\Plan\Plan;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;

/** Captions of a draft that was handed over with its figures counted. */
final class Captions
{
    /** The file without the words that count its figures; as it is where the plan has such words in captions of its own. */
    public static function uncounted(Plan $plan, Plan $file): Plan
    {
        $captions = [];
        foreach ($plan->topics as $topic) {
            foreach ($topic->note->blocks ?? [] as $block) {
                if (Figures::uncounted($block) !== $block) {
                    return $file;
                }
                $block->type === NodeType::Picture ? ($captions[$block->string('caption') ?? ''] = true) : null;
            }
        }
        return Edit::notes(
            $file,
            static fn(array $blocks): array => array_map(static fn(Node $block): Node => self::bare($block, $captions), $blocks),
        );
    }

    /**
     * Of a picture that did not come with the file its caption is a paragraph.
     *
     * @param array<string, true> $captions of the plan
     */
    private static function bare(Node $block, array $captions): Node
    {
        $says = $block->type === NodeType::Paragraph ? $block->plainText() : '';
        $caption = Figures::bare($says);

        return $caption !== $says && isset($captions[$caption])
            ? new Node(NodeType::Paragraph, $block->attrs, [Node::text($caption)])
            : Figures::uncounted($block);
    }
}
