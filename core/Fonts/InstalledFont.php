<?php

declare(strict_types=1);

namespace Embrel\Fonts;

/** A font of the machine: only those of its tables are read that are asked for, as it may be large, and one of many in a file. */
final class InstalledFont extends Sfnt
{
    /** @var array<string, array{int, int}> table → offset, length */
    private array $tables;
    /** @var array<string, string> */
    private array $read = [];
    /** @var list<array{int, int, int}>|null first sign, last sign, glyph of the first; 0: it is in a list of its own */
    private ?array $ranges = null;

    /**
     * @param int $index which of the fonts of a collection
     *
     * @throws \RuntimeException when it is not such a font
     */
    public function __construct(public readonly string $path, public readonly int $index = 0)
    {
        $kind = $this->bytes(0, 4);
        \strlen($kind) === 4 || throw new \RuntimeException('A font cannot be read.');
        $start = $kind === 'ttcf' ? self::long($this->bytes(12 + 4 * $index, 4), 0) : 0;
        $this->tables = self::directory($this->bytes($start, 12 + 16 * 64));
        parent::__construct();
    }

    private function bytes(int $at, int $length): string
    {
        return (string) file_get_contents($this->path, false, null, $at, max(0, $length));
    }

    public function table(string $name): string
    {
        return $this->read[$name] ??= isset($this->tables[$name]) ? $this->bytes(...$this->tables[$name]) : '';
    }

    /** @return string a table of a font that is in memory; empty where there is none */
    public static function tableOf(string $bytes, string $name): string
    {
        [$at, $length] = self::directory(substr($bytes, 0, 12 + 16 * 64))[$name] ?? [0, 0];

        return substr($bytes, $at, $length);
    }

    /** Whether its outlines are those of CFF (Adobe technical note 5176), and not of TrueType. */
    public function isCompact(): bool
    {
        return isset($this->tables['CFF ']);
    }

    /** @return int|null a glyph, if not the one by itself: whether there is one is what is asked */
    public function glyph(int $sign): ?int
    {
        foreach ($this->ranges ??= $this->ranges() as [$first, $last, $glyph]) {
            if ($sign <= $last) {
                return $sign < $first ? null : $glyph + $sign - $first;
            }
        }

        return null;
    }

    /** @return list<array{int, int, int}> the signs that it holds, in order (cmap, formats 4 and 12) */
    private function ranges(): array
    {
        $cmap = $this->table('cmap');
        $subtables = [];
        for ($i = 0, $count = self::word($cmap, 2); $i < $count; ++$i) {
            $at = self::long($cmap, 4 + 8 * $i + 4);
            $subtables[self::word($cmap, $at)] = $at;
        }

        return match (true) {
            isset($subtables[12]) => self::groups($cmap, $subtables[12]),
            isset($subtables[4]) => self::segments($cmap, $subtables[4]),
            default => [],
        };
    }

    /** @return list<array{int, int, int}> */
    private static function groups(string $cmap, int $at): array
    {
        $ranges = [];
        for ($i = 0, $count = self::long($cmap, $at + 12); $i < $count; ++$i) {
            $group = $at + 16 + 12 * $i;
            $ranges[] = [self::long($cmap, $group), self::long($cmap, $group + 4), self::long($cmap, $group + 8)];
        }

        return $ranges;
    }

    /** @return list<array{int, int, int}> */
    private static function segments(string $cmap, int $at): array
    {
        $double = self::word($cmap, $at + 6);
        $ranges = [];
        for ($k = 0; $k < $double; $k += 2) {
            [$last, $first] = [self::word($cmap, $at + 14 + $k), self::word($cmap, $at + 16 + $double + $k)];
            $first < 0xffff ? $ranges[] = [$first, $last, 1] : null;
        }

        return $ranges;
    }
}
