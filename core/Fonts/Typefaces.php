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

    /** @var array<string, array<string, bool>> face → text → whether the face holds all of it */
    private array $held = [];
    /** @var array<string, array<string, array{string, int}|null>> face → sign → the part that draws it, and the glyph */
    private array $signs = [];
    public readonly Shaping $shaping;

    /**
     * @param \Closure(string): string $read     the bytes of a font by its name, such as serif-bold-latin; empty where there is none
     * @param Shaper|null              $shaper   of the scripts that those fonts do not hold
     * @param string                   $language of the text
     */
    public function __construct(private readonly \Closure $read, ?Shaper $shaper = null, string $language = '')
    {
        $this->shaping = new Shaping($shaper, new InstalledFonts(), $language);
    }

    /** The fonts that are shipped; other scripts by what is installed. */
    public static function shipped(string $language): self
    {
        return new self(Shipped::bytes(...), HarfBuzz::ofMachine(), $language);
    }

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

    /** Whether a face has a sign for each of a text; the unseen ones need none, and marks on letters more than that. */
    public function holds(string $text, string $face): bool
    {
        return $this->held[$face][$text] ??= $this->heldAll($text, $face);
    }

    private function heldAll(string $text, string $face): bool
    {
        foreach (mb_str_split($text) as $sign) {
            if ($this->sign($sign, $face) === null && preg_match('/\A[\s\p{Cf}\p{Cc}]\z/u', $sign) !== 1) {
                return false;
            }
        }

        return true;
    }

    /**
     * What draws a text that the face does not hold, or that is read from right to left.
     *
     * @return list<Glyphs|string>|null its parts as they are read; null: not yet
     */
    public function glyphs(string $text, string $face, bool $isRightToLeft): ?array
    {
        return $this->shaping->glyphs($text, $face, $isRightToLeft, fn(string $sign): bool => $this->holds($sign, $face));
    }

    private function advance(string $sign, string $face): float
    {
        $at = mb_ord($sign);
        if ($at > 0x7E && preg_match('/\A\p{Cf}\z/u', $sign) === 1) {
            return 0.0;
        }
        [$part, $glyph] = $this->sign($sign, $face) ?? ['', 0];
        $font = $part === '' ? null : $this->part($part);
        if ($font !== null) {
            return $font->width($glyph) / 1000;
        }

        // What no font of ours holds: the square signs of East Asia, marks that stand on others, and the rest.
        return match (true) {
            $at < 32 || preg_match('/\A[\p{M}\p{Cf}]\z/u', $sign) === 1 => 0.0,
            $at >= 0x1100 => 1.0,
            default => 0.55,
        };
    }

    /** @return array{string, int}|null the part of a face that draws a sign, such as serif-bold-latin, and the glyph; null: none does */
    public function sign(string $sign, string $face): ?array
    {
        if (!\array_key_exists($sign, $this->signs[$face] ?? [])) {
            $this->signs[$face][$sign] = $this->among($sign, $face);
        }

        return $this->signs[$face][$sign];
    }

    /** @return array{string, int}|null */
    private function among(string $sign, string $face): ?array
    {
        foreach (self::PARTS as $part) {
            $glyph = $this->part("{$face}-{$part}")?->glyph(mb_ord($sign));
            if ($glyph !== null) {
                return ["{$face}-{$part}", $glyph];
            }
        }

        return null;
    }

    /** @return TrueType|null a part of a face by its name; null where there is none */
    public function part(string $name): ?TrueType
    {
        if (!\array_key_exists($name, $this->fonts)) {
            $bytes = ($this->read)($name);
            $this->fonts[$name] = $bytes === '' ? null : new TrueType($bytes);
        }

        return $this->fonts[$name];
    }
}
