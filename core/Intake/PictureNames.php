<?php

declare(strict_types=1);

namespace Embrel\Intake;

use Embrel\Plan\Edit;
use Embrel\Plan\Picture;
use Embrel\Plan\Plan;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;

/** A plan whose pictures were written anew, and so have other names. */
final class PictureNames
{
    /**
     * @param array<string, Picture|null> $now the id that a picture had → what it is now; null: it could not be kept
     */
    public static function changed(Plan $plan, array $now): Plan
    {
        $edit = new Edit($plan);
        foreach ($plan->topics as $topic) {
            $next = $topic;
            if ($topic->picture !== null && \array_key_exists($topic->picture->id, $now)) {
                $picture = $now[$topic->picture->id];
                $next = $next->with([
                    'picture'
                        => $picture === null
                            ? null
                            : Picture::of("{$picture->id}:{$picture->width}x{$picture->height}@{$topic->picture->shown}"),
                ]);
            }
            if ($topic->note !== null && iterator_count($topic->note->find(NodeType::Picture)) > 0) {
                $blocks = array_values(
                    array_filter(array_map(static fn(Node $block): ?Node => self::node($block, $now), array_values($topic->note->blocks))),
                );
                $next = $next->with(['note' => Note::of($blocks), 'noted' => $blocks !== []]);
            }
            $next === $topic ? null : $edit->put($next);
        }

        return $edit->done();
    }

    /** @param array<string, Picture|null> $now */
    private static function node(Node $node, array $now): ?Node
    {
        $id = $node->type === NodeType::Picture ? $node->string('picture') : null;
        if ($id !== null && \array_key_exists($id, $now)) {
            $attrs = ['picture' => $now[$id]?->id] + $node->attrs;

            // A picture that is gone leaves its words.
            return $now[$id] !== null
                ? new Node(NodeType::Picture, $attrs)
                : (isset($attrs['alt']) || isset($attrs['caption'])
                    ? new Node(NodeType::Picture, array_diff_key($attrs, ['picture' => 1, 'width' => 1]))
                    : null);
        }
        if ($node->content === []) {
            return $node;
        }
        $content = array_values(array_filter(array_map(static fn(Node $child): ?Node => self::node($child, $now), $node->content)));
        // A cell or an item holds one block at least.
        $content = $content === [] ? [Node::paragraph([])] : $content;

        return new Node($node->type, $node->attrs, $content, $node->text, $node->marks);
    }
}
