<?php

declare(strict_types=1);

namespace Embrel\Fonts;

/** A font of TrueType outlines, as a whole in memory: which glyph draws a sign (cmap, format 4), and how it is drawn (glyf). */
final class TrueType extends Sfnt
{
    /** @var array<string, array{int, int}> table → offset, length */
    private array $tables;
    /** @var array<int, int> code point → glyph */
    private array $glyphs = [];

    /** @throws \RuntimeException when it is not such a font */
    public function __construct(public readonly string $bytes)
    {
        $this->tables = self::directory($bytes);
        isset($this->tables['cmap'], $this->tables['glyf']) || throw new \RuntimeException('A font cannot be read.');
        parent::__construct();
        $this->readGlyphs();
    }

    private function readGlyphs(): void
    {
        [$cmap] = $this->tables['cmap'];
        for ($i = 0, $count = self::word($this->bytes, $cmap + 2); $i < $count; ++$i) {
            $at = $cmap + self::long($this->bytes, $cmap + 4 + 8 * $i + 4);
            if (self::word($this->bytes, $at) === 4) {
                $this->readSegments($at);

                return;
            }
        }
    }

    private function readSegments(int $at): void
    {
        $double = self::word($this->bytes, $at + 6);
        [$ends, $starts, $deltas, $offsets] = [$at + 14, $at + 16 + $double, $at + 16 + 2 * $double, $at + 16 + 3 * $double];
        for ($k = 0; $k < $double; $k += 2) {
            $offset = self::word($this->bytes, $offsets + $k);
            $start = self::word($this->bytes, $starts + $k);
            $delta = self::word($this->bytes, $deltas + $k);
            for ($sign = $start, $end = self::word($this->bytes, $ends + $k); $sign <= $end && $sign < 0xffff; ++$sign) {
                $glyph = $offset === 0 ? $sign : self::word($this->bytes, $offsets + $k + $offset + 2 * ($sign - $start));
                if ($glyph !== 0) {
                    $this->glyphs[$sign] = ($glyph + $delta) & 0xffff;
                }
            }
        }
    }

    public function glyph(int $sign): ?int
    {
        return $this->glyphs[$sign] ?? null;
    }

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
        $isLong = self::word($this->bytes, $this->tables['head'][0] + 50) === 1;
        [$from, $to] = $isLong
            ? [self::long($this->bytes, $loca + 4 * $glyph), self::long($this->bytes, $loca + 4 * $glyph + 4)]
            : [2 * self::word($this->bytes, $loca + 2 * $glyph), 2 * self::word($this->bytes, $loca + 2 * $glyph + 2)];

        return substr($this->bytes, $glyf + $from, $to - $from);
    }

    /** @return list<int> code points of all signs that it holds */
    public function signs(): array
    {
        return array_keys($this->glyphs);
    }
}
