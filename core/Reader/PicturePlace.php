<?php

declare(strict_types=1);

namespace Embrel\Reader;

use Embrel\Archive\Shelf;
use Embrel\Document\Reading;
use Embrel\Plan\Picture;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Schema;

/** A picture at its place in a note: by its file, by its address on the web, or by what is said of it. */
final class PicturePlace
{
    /**
     * @param string               $id    on the shelf; empty where the file could not be kept
     * @param int                  $width as it is shown, in pixels; 0: in its own size
     * @param array<string, mixed> $attrs alternative text, link
     */
    public static function of(string $id, int $width, array $attrs, Shelf $shelf, Reading $reading): ?Node
    {
        $reading->count();
        if ($id === '') {
            $reading->remark(
                'A picture that is damaged, too large or of a kind that cannot be kept (PNG, JPEG, GIF and WebP can) was left out; its '
                    . 'description stays.',
            );

            return isset($attrs['alt']) ? new Node(NodeType::Picture, $attrs) : null;
        }
        $own = $shelf->size($id)[0] ?? 0;
        if ($width > 0 && $width !== $own && $width <= 1_000_000) {
            $attrs['width'] = $width;
        }

        return new Node(NodeType::Picture, ['picture' => $id] + $attrs);
    }

    /** A picture in a paragraph of its own that was the picture of a topic, as wide as it is shown there. */
    public static function ofTopic(Node $node, Shelf $shelf): ?Picture
    {
        $size = $shelf->size((string) $node->string('picture'));
        if ($size === null) {
            return null;
        }
        $shown = max(Picture::NARROWEST, min(Picture::WIDEST, (int) round($node->int('width', $size[0]) / 1.5)));

        return Picture::of("{$node->string('picture')}:{$size[0]}x{$size[1]}@{$shown}");
    }

    /** @param array<string, mixed> $attrs */
    public static function onTheWeb(string $address, array $attrs, Reading $reading): ?Node
    {
        $reading->count();
        if (!Schema::isSafeLink($address) || str_starts_with($address, '#')) {
            $reading->remark('A picture that lies outside the file was left out; its description stays.');

            return isset($attrs['alt']) ? new Node(NodeType::Picture, $attrs) : null;
        }
        $reading->remark('A picture stays where it is on the web; the note keeps its address and description.');

        return new Node(NodeType::Picture, ['src' => $address] + $attrs);
    }
}
