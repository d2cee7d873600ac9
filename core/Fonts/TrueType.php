<?php

declare(strict_types=1);

namespace Embrel\Fonts;

/** As much of a TrueType font as PDF asks for: which glyph draws a sign (cmap, format 4), and how wide each is (hmtx). */
final class TrueType
{
    /** @var array<string, array{int, int}> table → offset, length */
    private array $tables = [];
    /** @var array<int, int> code point → glyph */
    private array $glyphs = [];
    public readonly int $unitsPerEm;
    private readonly int $metrics;

    /** @throws \RuntimeException when it is not such a font */
    public function __construct(public readonly string $bytes)
    {
        for ($i = 0, $count = $this->word(4); $i < $count; ++$i) {
            $at = 12 + 16 * $i;
            $this->tables[substr($bytes, $at, 4)] = [$this->long($at + 8), $this->long($at + 12)];
        }
        isset($this->tables['cmap'], $this->tables['head'], $this->tables['hhea'], $this->tables['hmtx'], $this->tables['glyf'])
            || throw new \RuntimeException('A font cannot be read.');
        $this->unitsPerEm = $this->word($this->tables['head'][0] + 18);
        $this->metrics = $this->word($this->tables['hhea'][0] + 34);
        $this->readGlyphs();
    }

    private function word(int $at): int
    {
        return (\ord($this->bytes[$at]) << 8) | \ord($this->bytes[$at + 1]);
    }

    private function signed(int $at): int
    {
        $word = $this->word($at);

        return $word >= 0x8000 ? $word - 0x10000 : $word;
    }

    private function long(int $at): int
    {
        return ($this->word($at) << 16) | $this->word($at + 2);
    }

    private function readGlyphs(): void
    {
        [$cmap] = $this->tables['cmap'];
        for ($i = 0, $count = $this->word($cmap + 2); $i < $count; ++$i) {
            $at = $cmap + $this->long($cmap + 4 + 8 * $i + 4);
            if ($this->word($at) === 4) {
                $this->readSegments($at);

                return;
            }
        }
    }

    private function readSegments(int $at): void
    {
        $double = $this->word($at + 6);
        [$ends, $starts, $deltas, $offsets] = [$at + 14, $at + 16 + $double, $at + 16 + 2 * $double, $at + 16 + 3 * $double];
        for ($k = 0; $k < $double; $k += 2) {
            $offset = $this->word($offsets + $k);
            for ($sign = $this->word($starts + $k), $end = $this->word($ends + $k); $sign <= $end && $sign < 0xffff; ++$sign) {
                $glyph = $offset === 0 ? $sign : $this->word($offsets + $k + $offset + 2 * ($sign - $this->word($starts + $k)));
                if ($glyph !== 0) {
                    $this->glyphs[$sign] = ($glyph + $this->word($deltas + $k)) & 0xffff;
                }
            }
        }
    }

    /** @return int|null null where the font does not hold the sign */
    public function glyph(int $sign): ?int
    {
        return $this->glyphs[$sign] ?? null;
    }

    /** @return float in thousandths of the size */
    public function width(int $glyph): float
    {
        return ($this->word($this->tables['hmtx'][0] + 4 * min($glyph, $this->metrics - 1)) * 1000) / $this->unitsPerEm;
    }

    /** @return array{int, int, int, int} the box that holds all glyphs, in thousandths */
    public function box(): array
    {
        [$head] = $this->tables['head'];

        return array_map(fn(int $k): int => (int) round(($this->signed($head + 36 + 2 * $k) * 1000) / $this->unitsPerEm), [0, 1, 2, 3]);
    }

    public function ascent(): int
    {
        return (int) round(($this->signed($this->tables['hhea'][0] + 4) * 1000) / $this->unitsPerEm);
    }

    public function descent(): int
    {
        return (int) round(($this->signed($this->tables['hhea'][0] + 6) * 1000) / $this->unitsPerEm);
    }

    /** @return string a table as it is; empty where there is none */
    public function table(string $name): string
    {
        [$at, $length] = $this->tables[$name] ?? [0, 0];

        return substr($this->bytes, $at, $length);
    }

    /** @return string what draws a glyph (glyf); empty for one that draws nothing */
    public function outline(int $glyph): string
    {
        [$loca] = $this->tables['loca'];
        [$glyf] = $this->tables['glyf'];
        $isLong = $this->word($this->tables['head'][0] + 50) === 1;
        [$from, $to] = $isLong
            ? [$this->long($loca + 4 * $glyph), $this->long($loca + 4 * $glyph + 4)]
            : [2 * $this->word($loca + 2 * $glyph), 2 * $this->word($loca + 2 * $glyph + 2)];

        return substr($this->bytes, $glyf + $from, $to - $from);
    }

    /** @return string advance and left side bearing of a glyph, as hmtx has them */
    public function metric(int $glyph): string
    {
        [$hmtx] = $this->tables['hmtx'];
        if ($glyph < $this->metrics) {
            return substr($this->bytes, $hmtx + 4 * $glyph, 4);
        }
        $bearing = $hmtx + 4 * $this->metrics + 2 * ($glyph - $this->metrics);

        return substr($this->bytes, $hmtx + 4 * ($this->metrics - 1), 2) . substr($this->bytes, $bearing, 2);
    }

    /** @return list<int> code points of all signs that it holds */
    public function signs(): array
    {
        return array_keys($this->glyphs);
    }
}
