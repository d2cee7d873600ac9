<?php

declare(strict_types=1);

namespace Embrel\Pages;

/** Something at its place in a line or on a page. Lengths are points. */
final readonly class Piece
{
    public const TEXT = 'text';
    public const PICTURE = 'picture';
    public const RULE = 'rule';
    public const BOX = 'box';
    /** The sign of a topic, which says nothing by itself. */
    public const SIGN = 'sign';

    /**
     * @param string $kind   one of the constants
     * @param float  $x      from the left edge of the text
     * @param float  $y      of a text its baseline, of others their top; within a line: from its top
     * @param string $text   or the id of a picture, or the name of a sign
     * @param string $face   of a text
     * @param string $colour of text and rule, or what fills a box; six hexadecimal digits after a #
     * @param string $link   an address, or # and the name of a place; empty for none
     * @param string $marks  what is drawn with a text: u under it, s through it
     * @param string $says   what a picture shows; the whole title, where a heading begins
     * @param int    $level  of the heading that begins here; 0 for none
     * @param int    $tag    what it is, in the structure of its book; Structure::NONE: what its line is, or decoration
     * @param list<int|string> $glyphs what draws it from left to right, where some of it was shaped: the number of that, or a
     *                       text that its face draws; empty: its face draws all of it
     */
    public function __construct(
        public string $kind,
        public float $x,
        public float $y,
        public float $width,
        public float $height = 0.0,
        public string $text = '',
        public string $face = '',
        public float $size = 0.0,
        public string $colour = '#000000',
        public string $link = '',
        public string $marks = '',
        public string $says = '',
        public int $level = 0,
        public int $tag = Structure::NONE,
        /** @var list<int|string> */
        public array $glyphs = [],
        public bool $isRightToLeft = false,
    ) {}

    /** @param int $tag what it is, where it does not know that itself */
    public function moved(float $x, float $y, int $tag = Structure::NONE): self
    {
        return new self(
            $this->kind,
            $this->x + $x,
            $this->y + $y,
            $this->width,
            $this->height,
            $this->text,
            $this->face,
            $this->size,
            $this->colour,
            $this->link,
            $this->marks,
            $this->says,
            $this->level,
            $this->tag === Structure::NONE ? $tag : $this->tag,
            $this->glyphs,
            $this->isRightToLeft,
        );
    }

    /** Where a heading begins, with the whole of its title. */
    public function heading(string $title, int $level): self
    {
        // @phpstan-ignore argument.type (each is the field's own value)
        return new self(...(['says' => $title, 'level' => $level] + get_object_vars($this)));
    }

    /** Smaller or larger, seen from a point. */
    public function scaled(float $scale, float $x, float $y): self
    {
        return new self(
            $this->kind,
            $x + $this->x * $scale,
            $y + $this->y * $scale,
            $this->width * $scale,
            $this->height * $scale,
            $this->text,
            $this->face,
            $this->size * $scale,
            $this->colour,
            $this->link,
            $this->marks,
            $this->says,
            tag: $this->tag,
            glyphs: $this->glyphs,
            isRightToLeft: $this->isRightToLeft,
        );
    }
}
