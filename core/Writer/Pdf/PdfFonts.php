<?php

declare(strict_types=1);

namespace Embrel\Writer\Pdf;

use Embrel\Fonts\TrueType;

/** The fonts of a PDF file: each face in two parts, Latin and extended Latin, of which only those are embedded that were used. */
final class PdfFonts
{
    private const PARTS = ['latin', 'latin-ext', 'greek', 'cyrillic'];

    /** @var array<string, TrueType|null> null: there is no such part */
    private array $fonts = [];
    /** @var array<string, array<string, array{string, int}>> face → sign → font and glyph */
    private array $known = [];
    /** @var array<string, array<int, int>> font → glyph → the sign it draws */
    private array $used = [];

    /** @param \Closure(string): string $read the bytes of a font by its name, such as strong-latin; empty where there is none */
    public function __construct(private readonly \Closure $read) {}

    /** @return array{string, int}|null the font that draws a sign, and the glyph; null where none does */
    public function glyph(string $face, string $sign): ?array
    {
        if (isset($this->known[$face][$sign])) {
            return $this->known[$face][$sign];
        }
        $at = mb_ord($sign);
        foreach (self::PARTS as $part) {
            $name = "{$face}-{$part}";
            $glyph = $this->font($name)?->glyph($at);
            if ($glyph !== null) {
                $this->used[$name][$glyph] = $at;

                return $this->known[$face][$sign] = [$name, $glyph];
            }
        }

        return null;
    }

    private function font(string $name): ?TrueType
    {
        if (!\array_key_exists($name, $this->fonts)) {
            $bytes = ($this->read)($name);
            $this->fonts[$name] = $bytes === '' ? null : new TrueType($bytes);
        }

        return $this->fonts[$name];
    }

    /** @return float the advance of a glyph, in thousandths of the size */
    public function width(string $font, int $glyph): float
    {
        return $this->font($font)?->width($glyph) ?? 0.0;
    }

    /** @return string the entries of the fonts in a dictionary of resources */
    public function write(PdfFile $file): string
    {
        $entries = '';
        foreach ($this->used as $name => $glyphs) {
            $font = $this->font($name) ?? throw new \RuntimeException('A font cannot be read.');
            ksort($glyphs);
            $program = $file->stream($font->bytes, '/Length1 ' . \strlen($font->bytes));
            $base = 'EMBREL+' . str_replace('-', '', ucwords($name, '-'));
            [$left, $bottom, $right, $top] = $font->box();
            $descriptor = $file->object(
                "<< /Type /FontDescriptor /FontName /{$base} /Flags 4 /FontBBox [{$left} {$bottom} {$right} {$top}] /ItalicAngle 0 /Ascent {$font->ascent()} /Descent {$font->descent()} /CapHeight 700 /StemV 80 /FontFile2 {$program} 0 R >>",
            );
            $widths = implode(
                ' ',
                array_map(static fn(int $glyph): string => $glyph . ' [' . round($font->width($glyph), 1) . ']', array_keys($glyphs)),
            );
            $descendant = $file->object(
                "<< /Type /Font /Subtype /CIDFontType2 /BaseFont /{$base} /CIDSystemInfo << /Registry (Adobe) /Ordering (Identity) /Supplement 0 >> /FontDescriptor {$descriptor} 0 R /DW 500 /W [{$widths}] /CIDToGIDMap /Identity >>",
            );
            $unicode = $file->stream(self::toUnicode($glyphs));
            $number = $file->object(
                "<< /Type /Font /Subtype /Type0 /BaseFont /{$base} /Encoding /Identity-H /DescendantFonts [{$descendant} 0 R] /ToUnicode {$unicode} 0 R >>",
            );
            $entries .= "/{$name} {$number} 0 R ";
        }

        return $entries;
    }

    /** @param array<int, int> $glyphs So that the text can be found and copied. */
    private static function toUnicode(array $glyphs): string
    {
        $map
            = "/CIDInit /ProcSet findresource begin 12 dict begin begincmap /CMapName /Embrel def /CMapType 2 def 1 begincodespacerange <0000> <FFFF> endcodespacerange\n";
        foreach (array_chunk($glyphs, 100, true) as $chunk) {
            $map .= \count($chunk) . " beginbfchar\n";
            foreach ($chunk as $glyph => $sign) {
                $map .= \sprintf("<%04X> <%s>\n", $glyph, strtoupper(bin2hex(mb_convert_encoding(mb_chr($sign), 'UTF-16BE', 'UTF-8'))));
            }
            $map .= "endbfchar\n";
        }

        return "{$map}endcmap CMapName currentdict /CMap defineresource pop end end\n";
    }
}
