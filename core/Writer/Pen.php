<?php

declare(strict_types=1);

namespace Embrel\Writer;

use Embrel\Fonts\Face;

/** What a map is drawn with: one pen a format. Measures in pixels of the map, y downwards; colours as #rrggbb. */
interface Pen
{
    /**
     * Everything that is drawn within is moved, turned clockwise, and mirrored first.
     *
     * @param \Closure(): void $draw
     */
    public function within(float $x, float $y, bool $isMirrored, \Closure $draw): void;

    /** @param string $path of SVG, with the commands M, L, H, V, C and Z, and A for arcs of circles */
    public function path(string $path, ?string $stroke, float $width = 1.0, ?string $fill = null, float $opacity = 1.0): void;

    public function circle(
        float $x,
        float $y,
        float $radius,
        ?string $fill,
        ?string $stroke = null,
        float $width = 1.0,
        bool $isDashed = false,
    ): void;

    public function rectangle(
        float $x,
        float $y,
        float $width,
        float $height,
        float $radius,
        string $fill,
        ?string $stroke = null,
        float $line = 1.0,
    ): void;

    /** @param float $y of the base line */
    public function text(
        string $text,
        float $x,
        float $y,
        Face $face,
        float $size,
        string $colour,
        bool $isCentred = false,
        bool $isRightToLeft = false,
        bool $isItalic = false,
    ): void;

    /** A number in tabular figures, from where it begins. */
    public function number(string $number, float $x, float $y, float $size, string $colour, bool $isCentred = false): void;

    /** @param string $bytes of a PNG or JPEG file */
    public function image(string $bytes, float $x, float $y, float $width, float $height): void;

    /**
     * A rectangle of a colour under everything else, and on it a picture that covers it all: what reaches beyond is cut off.
     *
     * @param string $bytes of a PNG or JPEG file
     */
    public function backdrop(string $bytes, float $x, float $y, float $width, float $height, string $colour): void;
}
