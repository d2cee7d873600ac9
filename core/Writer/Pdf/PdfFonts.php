<?php

declare(strict_types=1);

namespace Embrel\Writer\Pdf;

use Embrel\Fonts\Glyphs;
use Embrel\Fonts\InstalledFont;
use Embrel\Fonts\Sfnt;
use Embrel\Fonts\Typefaces;

/** The fonts of a PDF file: each face in two parts, Latin and extended Latin, of which only those are embedded that were used. */
final class PdfFonts
{
    /** For a glyph that is part of what another one says. */
    private const UNSEEN = "\u{200B}";

    /** @var array<string, array<int, string>> installed font → glyph → the text that it was first met in */
    private array $shaped = [];
    /** @var array<string, string> what was shaped, and the size → what shows it */
    private array $operators = [];
    /** @var array<string, array<int, int>> font → glyph → the sign it draws */
    private array $used = [];

    public function __construct(private readonly Typefaces $faces) {}

    /** @return array{string, int}|null the font that draws a sign, and the glyph; null where none does */
    public function glyph(string $face, string $sign): ?array
    {
        $found = $this->faces->sign($sign, $face);
        if ($found !== null) {
            $this->used[$found[0]][$found[1]] = mb_ord($sign);
        }

        return $found;
    }

    /** @return float the advance of a glyph, in thousandths of the size */
    public function width(string $font, int $glyph): float
    {
        return $this->faces->part($font)?->width($glyph) ?? 0.0;
    }

    /**
     * The operators that show a text, some of which was shaped.
     *
     * @param list<int|string>          $parts from left to right, as a piece has them
     * @param \Closure(string): string $plain what shows a text that was not shaped
     */
    public function shown(array $parts, float $size, \Closure $plain): string
    {
        $out = '';
        foreach ($parts as $part) {
            $out .= \is_string($part)
                ? $plain($part)
                : $this->operators["{$part} {$size}"] ??= $this->operators($this->faces->shaping->of($part), $size);
        }

        return $out;
    }

    /** Each glyph at its place. Where glyphs do not tell what is written, it is said beside them. */
    private function operators(Glyphs $glyphs, float $size): string
    {
        $font = $this->faces->shaping->fonts->font($glyphs->font) ?? throw new \RuntimeException('A font has gone.');
        $said = $this->said($glyphs);
        $out = '/' . self::named($glyphs->font) . \sprintf(' %.2F Tf ', $size);
        $run = '';
        $rise = $shift = 0.0;
        foreach ($glyphs->glyphs as [$glyph, , $advance, $right, $above]) {
            if ($above !== $rise) {
                $out .= ($run === '' ? '' : "[{$run}] TJ ") . \sprintf('%.2F Ts ', $above * $size);
                [$rise, $run] = [$above, ''];
            }
            $shift += $right * 1000;
            $run .= self::moved($shift) . \sprintf('<%04X>', $glyph);
            $shift = ($advance - $right) * 1000 - $font->width($glyph);
        }
        $out .= "[{$run}" . self::moved($shift) . '] TJ ' . ($rise === 0.0 ? '' : '0 Ts ');

        return $said === $glyphs->text ? $out : '/Span << /ActualText ' . PdfFile::text($glyphs->text) . " >> BDC {$out}EMC ";
    }

    private static function moved(float $thousandths): string
    {
        return abs($thousandths) < 0.5 ? '' : ' ' . round(-$thousandths) . ' ';
    }

    /** What glyphs say by themselves, each of which says the same wherever it stands; null: not what is meant. */
    private function said(Glyphs $glyphs): ?string
    {
        $clusters = [];
        foreach ($glyphs->isRightToLeft ? array_reverse($glyphs->glyphs) : $glyphs->glyphs as [$glyph, $byte]) {
            $clusters[$byte][] = $glyph;
        }
        $starts = array_keys($clusters);
        sort($starts);
        $said = '';
        $isSimple = true;
        foreach ($clusters as $byte => $these) {
            $end = $starts[array_search($byte, $starts, true) + 1] ?? \strlen($glyphs->text);
            $text = substr($glyphs->text, $byte, $end - $byte);
            // A glyph for each sign; else the first stands for all of them.
            $signs = mb_strlen($text) === \count($these) ? mb_str_split($text) : [$text];
            foreach ($these as $i => $glyph) {
                $said .= $this->shaped[$glyphs->font][$glyph] ??= $signs[$i] ?? '';
            }
            // Readers that take glyphs by their places take marks that stand on others for something else.
            $isSimple = $isSimple && ($glyphs->isRightToLeft || mb_strlen($text) === 1);
        }

        return $isSimple ? $said : null;
    }

    private static function named(string $installed): string
    {
        return strtr($installed, '.', '-');
    }

    /** @return string the entries of the fonts in a dictionary of resources */
    public function write(PdfFile $file): string
    {
        $entries = '';
        foreach ($this->used as $name => $glyphs) {
            $font = $this->faces->part($name) ?? throw new \RuntimeException('A font cannot be read.');
            $program = '/FontFile2 ' . $file->stream($font->bytes, '/Length1 ' . \strlen($font->bytes)) . ' 0 R';
            $entries .= self::entry($file, $name, $font, array_map(mb_chr(...), $glyphs), $program, isCompact: false);
        }
        $asked = [];
        foreach ($this->shaped as $name => $glyphs) {
            $font = $this->faces->shaping->fonts->font((string) $name) ?? throw new \RuntimeException('A font has gone.');
            $asked[$name] = ['font' => $font, 'glyphs' => array_keys($glyphs)];
        }
        $cut = $asked === [] ? [] : $this->faces->shaping->shaper?->cut(array_values($asked)) ?? [];
        foreach (array_keys($asked) as $i => $name) {
            $entries .= $this->shapedEntry($file, (string) $name, $asked[$name]['font'], $cut[$i]);
        }

        return $entries;
    }

    private function shapedEntry(PdfFile $file, string $name, InstalledFont $font, string $bytes): string
    {
        // Outlines of CFF are embedded without what is around them (ISO 32000-1, table 126).
        $compact = $font->isCompact() ? Sfnt::tableOf($bytes, 'CFF ') : null;
        $program = $compact === null
            ? '/FontFile2 ' . $file->stream($bytes, '/Length1 ' . \strlen($bytes)) . ' 0 R'
            : '/FontFile3 ' . $file->stream($compact, '/Subtype /CIDFontType0C') . ' 0 R';

        return self::entry($file, self::named($name), $font, $this->shaped[$name], $program, $compact !== null);
    }

    /** @param array<int, string> $glyphs glyph → the text that it draws */
    private static function entry(PdfFile $file, string $name, Sfnt $font, array $glyphs, string $program, bool $isCompact): string
    {
        ksort($glyphs);
        $base = 'EMBREL+' . str_replace('-', '', ucwords($name, '-'));
        [$left, $bottom, $right, $top] = $font->box();
        $descriptor = $file->object(
            "<< /Type /FontDescriptor /FontName /{$base} /Flags 4 /FontBBox [{$left} {$bottom} {$right} {$top}] /ItalicAngle 0"
                . " /Ascent {$font->ascent()} /Descent {$font->descent()} /CapHeight 700 /StemV 80 {$program} >>",
        );
        $widths = implode(
            ' ',
            array_map(static fn(int $glyph): string => $glyph . ' [' . round($font->width($glyph), 1) . ']', array_keys($glyphs)),
        );
        [$kind, $map] = $isCompact ? ['/CIDFontType0', ''] : ['/CIDFontType2', ' /CIDToGIDMap /Identity'];
        $descendant = $file->object(
            "<< /Type /Font /Subtype {$kind} /BaseFont /{$base} /CIDSystemInfo << /Registry (Adobe) /Ordering (Identity)"
                . " /Supplement 0 >> /FontDescriptor {$descriptor} 0 R /DW 500 /W [{$widths}]{$map} >>",
        );
        $unicode = $file->stream(self::toUnicode($glyphs));
        $number = $file->object(
            "<< /Type /Font /Subtype /Type0 /BaseFont /{$base} /Encoding /Identity-H /DescendantFonts [{$descendant} 0 R]"
                . " /ToUnicode {$unicode} 0 R >>",
        );

        return "/{$name} {$number} 0 R ";
    }

    /** @param array<int, string> $glyphs So that the text can be found and copied. */
    private static function toUnicode(array $glyphs): string
    {
        $map
            = "/CIDInit /ProcSet findresource begin 12 dict begin begincmap /CMapName /Embrel def /CMapType 2 def 1 begincodespacerange <0000> <FFFF> endcodespacerange\n";
        foreach (array_chunk($glyphs, 100, true) as $chunk) {
            $map .= \count($chunk) . " beginbfchar\n";
            foreach ($chunk as $glyph => $text) {
                $map .= \sprintf("<%04X> <%s>\n", $glyph, strtoupper(bin2hex(mb_convert_encoding($text === '' ? self::UNSEEN : $text, 'UTF-16BE', 'UTF-8'))));
            }
            $map .= "endbfchar\n";
        }

        return "{$map}endcmap CMapName currentdict /CMap defineresource pop end end\n";
    }
}
