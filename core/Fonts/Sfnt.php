<?php

declare(strict_types=1);

namespace Embrel\Fonts;

/** A font of OpenType, whatever its outlines are (OpenType 1.9): its measures, and which glyph draws a sign. */
abstract class Sfnt
{
    public readonly int $unitsPerEm;
    /** How many glyphs have a width of their own. */
    private readonly int $metrics;
    private readonly string $hmtx;

    /** @throws \RuntimeException when it is not such a font */
    public function __construct()
    {
        [$head, $hhea, $this->hmtx] = [$this->table('head'), $this->table('hhea'), $this->table('hmtx')];
        \strlen($head) >= 54 && \strlen($hhea) >= 36 && $this->hmtx !== '' || throw new \RuntimeException('A font cannot be read.');
        $this->unitsPerEm = max(1, self::word($head, 18));
        $this->metrics = max(1, self::word($hhea, 34));
    }

    /** @return string a table as it is; empty where there is none */
    abstract public function table(string $name): string;

    protected static function word(string $bytes, int $at): int
    {
        return (\ord($bytes[$at]) << 8) | \ord($bytes[$at + 1]);
    }

    protected static function signed(string $bytes, int $at): int
    {
        $word = self::word($bytes, $at);

        return $word >= 0x8000 ? $word - 0x10000 : $word;
    }

    protected static function long(string $bytes, int $at): int
    {
        return (self::word($bytes, $at) << 16) | self::word($bytes, $at + 2);
    }

    /** @return array<string, array{int, int}> table → offset and length, of the font that begins at a place */
    protected static function directory(string $head): array
    {
        $tables = [];
        for ($i = 0, $count = self::word($head, 4); $i < $count && 28 + 16 * $i <= \strlen($head); ++$i) {
            $at = 12 + 16 * $i;
            $tables[substr($head, $at, 4)] = [self::long($head, $at + 8), self::long($head, $at + 12)];
        }

        return $tables;
    }

    /** @return int|null null where the font does not hold the sign */
    abstract public function glyph(int $sign): ?int;

    /** @return float in thousandths of the size */
    public function width(int $glyph): float
    {
        return (self::word($this->hmtx, 4 * min($glyph, $this->metrics - 1)) * 1000) / $this->unitsPerEm;
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

        return array_map(fn(int $k): int => $this->thousandths(self::signed($head, 36 + 2 * $k)), [0, 1, 2, 3]);
    }

    public function ascent(): int
    {
        return $this->thousandths(self::signed($this->table('hhea'), 4));
    }

    public function descent(): int
    {
        return $this->thousandths(self::signed($this->table('hhea'), 6));
    }

    private function thousandths(int $units): int
    {
        return (int) round(($units * 1000) / $this->unitsPerEm);
    }
}
