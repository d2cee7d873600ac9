<?php

declare(strict_types=1);

namespace Embrel\Writer;

use Embrel\Fonts\Glyphs;
use Embrel\Fonts\Typefaces;
use Embrel\Pages\Paragraphs;
use Embrel\Pages\Piece;
use Embrel\Pages\Setting;

/** A line of a map in which something stands that its face does not hold. */
final class ShapedLine
{
    /**
     * @param float $room the width that the drawing has for it
     * @param float $at   where it stands in that: 0 at its beginning, 0.5 in the middle, 1 at its end
     *
     * @return list<array{Glyphs|string, float}> its parts from left to right, with how far along each begins; a string is drawn by the face
     */
    public static function of(Typefaces $faces, string $text, string $face, float $size, float $room, float $at): array
    {
        $line = (new Paragraphs($faces))->text($text, new Setting($face, $size), INF)[0];
        $wide = array_sum(array_map(static fn(Piece $piece): float => $piece->width, $line->pieces));
        $line->mirror = $line->mirror === null ? null : $wide;
        $parts = [];
        foreach ($line->placed(($room - $wide) * $at, 0.0) as $piece) {
            $x = $piece->x;
            foreach ($piece->glyphs === [] ? [$piece->text] : $piece->glyphs as $part) {
                $glyphs = \is_string($part) ? $part : $faces->shaping->of($part);
                $parts[] = [$glyphs, $x];
                $x += \is_string($glyphs) ? $faces->width($glyphs, $face, $size) : $glyphs->width * $size;
            }
        }

        return $parts;
    }
}
