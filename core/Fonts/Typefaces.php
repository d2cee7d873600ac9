<?php

declare(strict_types=1);

namespace Embrel\Fonts;

/** The faces in which pages are set, and how wide each sign is in them. */
final class Typefaces
{
    private const PARTS = ['latin', 'latin-ext', 'greek', 'cyrillic'];

    /** @var array<string, array<string, float>> face → sign or word → advance in sizes of the type */
    private array $advances = [];
    /** @var array<string, TrueType|null> */
    private array $fonts = [];

    /** @param \Closure(string): string $read the bytes of a font by its name, such as serif-bold-latin; empty where there is none */
    public function __construct(public readonly \Closure $read) {}

    /** @param string $family serif, sans or mono */
    public static function face(string $family, bool $bold, bool $italic): string
    {
        return $family . ($bold ? '-bold' : '') . ($italic ? '-italic' : '');
    }

    /** How far a text takes the pen on, without kerning. */
    public function width(string $text, string $face, float $size): float
    {
        if (isset($this->advances[$face][$text])) {
            return $this->advances[$face][$text] * $size;
        }
        $sum = 0.0;
        foreach (mb_str_split($text) as $sign) {
            $sum += $this->advances[$face][$sign] ??= $this->advance($sign, $face);
        }
        // Words come again and again; whole lines do not.
        if (\strlen($text) <= 24) {
            $this->advances[$face][$text] = $sum;
        }

        return $sum * $size;
    }

    private function advance(string $sign, string $face): float
    {
        $at = mb_ord($sign);
        foreach (self::PARTS as $part) {
            $font = $this->font("{$face}-{$part}");
            $glyph = $font?->glyph($at);
            if ($font !== null && $glyph !== null) {
                return $font->width($glyph) / 1000;
            }
        }

        // What no font of ours holds: the square signs of East Asia, marks that stand on others, and the rest.
        return match (true) {
            $at < 32 || preg_match('/\A[\p{M}\p{Cf}]\z/u', $sign) === 1 => 0.0,
            $at >= 0x1100 => 1.0,
            default => 0.55,
        };
    }

    private function font(string $name): ?TrueType
    {
        if (!\array_key_exists($name, $this->fonts)) {
            $bytes = ($this->read)($name);
            $this->fonts[$name] = $bytes === '' ? null : new TrueType($bytes);
        }

        return $this->fonts[$name];
    }
}
