<?php

declare(strict_types=1);

namespace Embrel\Fonts;

/** What draws a text: glyphs of one font from left to right, where each stands, and of which part of the text it is. */
final readonly class Glyphs
{
    /** In sizes of the type. */
    public float $width;

    /**
     * Of each glyph: its number, the byte of the text where its cluster begins, and in sizes of the type how far it takes the
     * pen on, how far it stands to the right of it, and how far above.
     *
     * @param string                                     $font its name among the installed ones
     * @param string                                     $text in the order in which it is read
     * @param list<array{int, int, float, float, float}> $glyphs
     * @param int                                        $id   by which the shaping that it is of knows it
     */
    public function __construct(
        public string $font,
        public string $text,
        public array $glyphs,
        public bool $isRightToLeft = false,
        public int $id = 0,
    ) {
        $this->width = array_sum(array_column($glyphs, 2));
    }

    /**
     * As many clusters as have room, one at least, and the rest: each is drawn as it was, as letters that are joined stay so.
     *
     * @param float $room in sizes of the type
     *
     * @return array{self, self|null}
     */
    public function divided(float $room): array
    {
        $wide = [];
        foreach ($this->glyphs as [, $byte, $advance]) {
            $wide[$byte] = ($wide[$byte] ?? 0.0) + $advance;
        }
        ksort($wide);
        $taken = 0.0;
        foreach ($wide as $byte => $advance) {
            if ($byte > 0 && $taken + $advance > $room) {
                return [$this->part(0, $byte), $this->part($byte, \strlen($this->text))];
            }
            $taken += $advance;
        }

        return [$this, null];
    }

    private function part(int $from, int $to): self
    {
        $glyphs = [];
        foreach ($this->glyphs as $glyph) {
            if ($glyph[1] >= $from && $glyph[1] < $to) {
                $glyph[1] -= $from;
                $glyphs[] = $glyph;
            }
        }

        return new self($this->font, substr($this->text, $from, $to - $from), $glyphs, $this->isRightToLeft);
    }
}
