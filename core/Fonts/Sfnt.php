<?php

declare(strict_types=1);

namespace Embrel\Fonts;

/** A font of OpenType (OpenType 1.9): its measures, which glyph draws a sign, and how TrueType draws it. */
abstract class Sfnt
{
    public readonly int $unitsPerEm;
    /** How many glyphs have a width of their own. */
    private readonly int $metrics;
    private readonly string $hmtx;
    /** @var array<int, int>|null code point → glyph */
    private ?array $signs = null;
    /** @var array{string, string, bool}|null the outlines, where each begins, and whether that is told in four bytes */
    private ?array $outlines = null;

    /** @throws \RuntimeException when it is not such a font */
    public function __construct()
    {
        [$head, $hhea, $this->hmtx] = [$this->table('head'), $this->table('hhea'), $this->table('hmtx')];
        \strlen($head) >= 54 && \strlen($hhea) >= 36 && $this->hmtx !== '' || throw new \RuntimeException('A font cannot be read.');
        $this->unitsPerEm = max(1, Bytes::word($head, 18));
        $this->metrics = max(1, Bytes::word($hhea, 34));
    }

    /** @return string a table as it is; empty where there is none */
    abstract public function table(string $name): string;

    /** @return string a table of a font that is in memory; empty where there is none */
    public static function tableOf(string $font, string $name): string
    {
        return substr($font, ...self::directory($font)[$name] ?? [0, 0]);
    }

    /** @return array<string, array{int, int}> table → offset and length, of a font by how it begins */
    protected static function directory(string $font): array
    {
        $tables = [];
        for ($i = 0, $count = Bytes::word($font, 4); $i < $count && 28 + 16 * $i <= \strlen($font); ++$i) {
            $at = 12 + 16 * $i;
            $tables[substr($font, $at, 4)] = [Bytes::long($font, $at + 8), Bytes::long($font, $at + 12)];
        }

        return $tables;
    }

    /** @return array<int, int> code point → glyph, of all signs that it holds */
    public function signs(): array
    {
        return $this->signs ??= SignMap::of($this->table('cmap'));
    }

    /** @return int|null null where the font does not hold the sign */
    public function glyph(int $sign): ?int
    {
        return $this->signs()[$sign] ?? null;
    }

    /** @return string what draws a glyph (glyf); empty for one that draws nothing */
    public function outline(int $glyph): string
    {
        [$glyf, $loca, $isLong] = $this->outlines
            ??= [$this->table('glyf'), $this->table('loca'), Bytes::word($this->table('head'), 50) === 1];
        [$from, $to] = $isLong
            ? [Bytes::long($loca, 4 * $glyph), Bytes::long($loca, 4 * $glyph + 4)]
            : [2 * Bytes::word($loca, 2 * $glyph), 2 * Bytes::word($loca, 2 * $glyph + 2)];

        return substr($glyf, $from, max(0, $to - $from));
    }

    /** @return float in thousandths of the size */
    public function width(int $glyph): float
    {
        return (Bytes::word($this->hmtx, 4 * min($glyph, $this->metrics - 1)) * 1000) / $this->unitsPerEm;
    }

    /** @return string advance and left side bearing of a glyph, as hmtx has them */
    public function metric(int $glyph): string
    {
        return $glyph < $this->metrics
            ? substr($this->hmtx, 4 * $glyph, 4)
            : substr($this->hmtx, 4 * ($this->metrics - 1), 2)
                . substr($this->hmtx, 4 * $this->metrics + 2 * ($glyph - $this->metrics), 2);
    }

    /** @return array{int, int, int, int} the box that holds all glyphs, in thousandths */
    public function box(): array
    {
        $head = $this->table('head');

        return array_map(fn(int $k): int => $this->thousandths(Bytes::signed($head, 36 + 2 * $k)), [0, 1, 2, 3]);
    }

    public function ascent(): int
    {
        return $this->thousandths(Bytes::signed($this->table('hhea'), 4));
    }

    public function descent(): int
    {
        return $this->thousandths(Bytes::signed($this->table('hhea'), 6));
    }

    private function thousandths(int $units): int
    {
        return (int) round(($units * 1000) / $this->unitsPerEm);
    }
}
