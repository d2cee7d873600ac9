<?php

declare(strict_types=1);

namespace Embrel\Fonts;

/**
 * How wide a text is when it is drawn without kerning and ligatures. Exact for what the shipped
 * fonts hold; for every other sign a bound that no usual font exceeds, so that a text may turn out
 * narrower than its room, and never wider.
 */
final class Ruler
{
    /**
     * Bounds in ten-thousandths of the size, by the first sign of each range of Unicode; a range ends where the next begins.
     * Wide are letters that fonts draw as whole words (Arabic ligatures) and the scripts whose signs stand for several.
     */
    private const BOUNDS = [
        0x0 => 10000,
        0x250 => 12000,
        0x300 => 5000,
        0x370 => 13500,
        0x590 => 10500,
        0x600 => 17000,
        0x700 => 20000,
        0x900 => 26000,
        0xe00 => 13000,
        0xf00 => 20000,
        0x1000 => 26000,
        0x10a0 => 13500,
        0x1100 => 11000,
        0x1200 => 17000,
        0x13a0 => 14000,
        0x1700 => 26000,
        0x1d00 => 13500,
        0x2000 => 15000,
        0x2e3a => 31000,
        0x2e3c => 11000,
        0x30f7 => 22000,
        0x30fb => 11000,
        0xa000 => 12500,
        0xa4d0 => 15000,
        0xa800 => 46000,
        0xac00 => 11000,
        0xd7b0 => 15000,
        0xe000 => 15000,
        0xf900 => 11000,
        0xfb00 => 15000,
        0xfb50 => 26000,
        0xfdf0 => 60000,
        0xfdfa => 125000,
        0xfdfe => 30000,
        0xfe00 => 0,
        0xfe10 => 11000,
        0xfe70 => 17000,
        0xfeff => 0,
        0xff00 => 11000,
        0xfff0 => 15000,
        0x10000 => 20000,
        0x12000 => 85000,
        0x13000 => 20000,
        0x17000 => 11000,
        0x19000 => 15000,
        0x1b000 => 11000,
        0x1bc00 => 20000,
        0x1d400 => 13500,
        0x1d800 => 20000,
        0x1f000 => 15000,
        0x20000 => 11000,
        0x40000 => 15000,
        0xe0000 => 0,
        0xf0000 => 15000,
    ];

    /** @var array<string, array<array-key, int>> face → sign → advance; bounds that were asked for join it */
    private array $widths = [];

    /** @var array<string, array<int, int>> face → byte of ASCII → advance */
    private array $bytes = [];
    /** @var array{string, Face, int}|null what was measured last: a title is asked for whole, and then for its only line */
    private ?array $last = null;

    /**
     * @param float $size of the type
     *
     * @return float in the unit of the size
     */
    public function width(string $text, Face $face, float $size): float
    {
        return ($size * $this->advance($text, $face)) / 10000;
    }

    /** A number in tabular figures. */
    public function number(string $label, float $size): float
    {
        if ($label === '') {
            return 0.0;
        }
        $digits = (int) preg_match_all('/[0-9]/', $label);

        return ($size * ($digits * Widths::DIGIT + $this->advance((string) preg_replace('/[0-9]+/', '', $label), Face::Strong))) / 10000;
    }

    /** Whether the shipped fonts hold every sign of a text, so that its width is no bound but what it is. */
    public function isExact(string $text, Face $face): bool
    {
        return array_diff_key(array_flip(mb_str_split($text)), $face->widths()) === [];
    }

    /** @return int in ten-thousandths of the size */
    public function advance(string $text, Face $face): int
    {
        if ($this->last !== null && $this->last[0] === $text && $this->last[1] === $face) {
            return $this->last[2];
        }
        $sum = mb_check_encoding($text, 'ASCII') ? $this->ofAscii($text, $face) : $this->ofAny($text, $face);
        $this->last = [$text, $face, $sum];

        return $sum;
    }

    /** The same as of any text, without taking it apart. */
    private function ofAscii(string $text, Face $face): int
    {
        $bytes = $this->bytes[$face->value] ??= array_map(fn(int $byte): int => $this->ofAny(\chr($byte), $face), range(0, 127));
        $sum = 0;
        for ($i = 0, $length = \strlen($text); $i < $length; ++$i) {
            $sum += $bytes[\ord($text[$i])];
        }

        return $sum;
    }

    private function ofAny(string $text, Face $face): int
    {
        $widths = $this->widths[$face->value] ??= $face->widths();
        $sum = 0;
        foreach (mb_str_split($text) as $sign) {
            $sum += $widths[$sign] ?? $this->bound($sign, $face);
        }

        return $sum;
    }

    private function bound(string $sign, Face $face): int
    {
        $at = mb_ord($sign);
        $bound = 0;
        foreach (self::BOUNDS as $from => $width) {
            if ($at < $from) {
                break;
            }
            $bound = $width;
        }

        return $this->widths[$face->value][$sign] = $bound;
    }
}
