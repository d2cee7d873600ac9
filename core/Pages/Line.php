<?php

declare(strict_types=1);

namespace Embrel\Pages;

/** What takes height on a page and is not divided: a line of text, a picture, a rule, an empty space. Lengths are points. */
final class Line
{
    /**
     * @param float                $height  with the space between lines
     * @param float                $ascent  from its top to the line that letters stand on
     * @param list<Piece>          $pieces
     * @param list<list<self>>     $footnotes that it refers to, each as its own lines
     * @param list<string>         $anchors names of places that begin here
     * @param array{string, int, string}|null $heading title, level and colour, where a heading begins here
     * @param string|null          $ground  a colour behind the whole line
     * @param int                  $tag     what it is, in the structure of its book
     * @param float|null           $mirror  how wide its column is, where it is read from right to left: its pieces are measured from the right
     */
    public function __construct(
        public readonly float $height,
        public readonly float $ascent = 0.0,
        public array $pieces = [],
        public array $footnotes = [],
        public array $anchors = [],
        public ?array $heading = null,
        public readonly ?string $ground = null,
        public int $tag = Structure::NONE,
        public ?float $mirror = null,
    ) {}

    /** @return list<Piece> its pieces, where the line stands at a place */
    public function placed(float $x, float $y): array
    {
        return array_map(fn(Piece $piece): Piece => $piece->moved(
            $this->mirror === null ? $x : $x + $this->mirror - 2 * $piece->x - $piece->width,
            $y,
            $this->tag,
        ), $this->pieces);
    }

    public static function space(float $height): self
    {
        return new self($height);
    }
}
