<?php

declare(strict_types=1);

namespace Embrel\Reader;

use Embrel\Archive\Shelf;
use Embrel\Document\Reading;
use Embrel\RichText\Node;
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
            $reading->remark('A picture that is damaged, too large or of a kind that cannot be kept (PNG, JPEG, GIF and WebP can) was left out; its description stays.');

            return isset($attrs['alt']) ? new Node('picture', $attrs) : null;
        }
        $own = $shelf->size($id)[0] ?? 0;
        if ($width > 0 && $width !== $own && $width <= 1_000_000) {
            $attrs['width'] = $width;
        }

        return new Node('picture', ['picture' => $id] + $attrs);
    }

    /** @param array<string, mixed> $attrs */
    public static function onTheWeb(string $address, array $attrs, Reading $reading): ?Node
    {
        $reading->count();
        if (!Schema::isSafeLink($address) || str_starts_with($address, '#')) {
            $reading->remark('A picture that lies outside the file was left out; its description stays.');

            return isset($attrs['alt']) ? new Node('picture', $attrs) : null;
        }
        $reading->remark('A picture stays where it is on the web; the note keeps its address and description.');

        return new Node('picture', ['src' => $address] + $attrs);
    }
}
