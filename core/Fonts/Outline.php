<?php

declare(strict_types=1);

namespace Embrel\Fonts;

/** How a glyph of TrueType outlines is drawn, as lines (OpenType 1.9, glyf): for pictures made of pixels. */
final readonly class Outline
{
    private const ON = 0x01;
    private const SHORT_X = 0x02;
    private const SHORT_Y = 0x04;
    private const REPEATED = 0x08;
    private const SAME_X = 0x10;
    private const SAME_Y = 0x20;
    private const WORDS = 0x0001;
    private const PLACED = 0x0002;
    private const SCALE = 0x0008;
    private const MORE = 0x0020;
    private const TWO_SCALES = 0x0040;
    private const FOUR_SCALES = 0x0080;
    /** Lines that a curve is made of. */
    private const PIECES = 5;
    /** How deep glyphs may be put together out of others. */
    private const DEEPEST = 6;

    private string $glyf;
    private string $loca;
    private bool $isLong;

    public function __construct(private Sfnt $font)
    {
        [$this->glyf, $this->loca] = [$font->table('glyf'), $font->table('loca')];
        $this->isLong = \ord($font->table('head')[51]) === 1;
    }

    /** @return list<list<float>> its contours: x and y by turns, in sizes of the type, y upwards */
    public function of(int $glyph): array
    {
        return array_map(
            fn(array $points): array => self::lines(array_map(fn(array $p): array => [
                $p[0] / $this->font->unitsPerEm,
                $p[1] / $this->font->unitsPerEm,
                $p[2],
            ], $points)),
            $this->contours($glyph, 0),
        );
    }

    /** @return list<list<array{float, float, bool}>> points, each on the contour or beside it */
    private function contours(int $glyph, int $depth): array
    {
        $bytes = $this->bytes($glyph);
        if (\strlen($bytes) < 10 || $depth > self::DEEPEST) {
            return [];
        }
        $count = self::signed($bytes, 0);

        return $count < 0 ? $this->composed($bytes, $depth) : self::simple($bytes, $count);
    }

    private function bytes(int $glyph): string
    {
        $at = unpack($this->isLong ? 'N2' : 'n2', substr($this->loca, $glyph * ($this->isLong ? 4 : 2), $this->isLong ? 8 : 4));
        [$from, $to] = array_map(static fn(mixed $one): int => \is_int($one) ? $one : 0, array_values($at ?: [0, 0]));

        return substr($this->glyf, $from * ($this->isLong ? 1 : 2), ($to - $from) * ($this->isLong ? 1 : 2));
    }

    /** @return list<list<array{float, float, bool}>> */
    private static function simple(string $bytes, int $count): array
    {
        $ends = [];
        for ($i = 0; $i < $count; ++$i) {
            $ends[] = self::word($bytes, 10 + 2 * $i);
        }
        $points = $ends === [] ? 0 : $ends[array_key_last($ends)] + 1;
        $at = 12 + 2 * $count + self::word($bytes, 10 + 2 * $count);
        $flags = [];
        while (\count($flags) < $points) {
            $flag = \ord($bytes[$at++] ?? "\0");
            $times = ($flag & self::REPEATED) === 0 ? 1 : 1 + \ord($bytes[$at++] ?? "\0");
            array_push($flags, ...array_fill(0, $times, $flag));
        }
        $xs = self::along($bytes, $at, $flags, $points, self::SHORT_X, self::SAME_X);
        $ys = self::along($bytes, $at, $flags, $points, self::SHORT_Y, self::SAME_Y);
        $contours = [];
        $from = 0;
        foreach ($ends as $end) {
            $contour = [];
            for (; $from <= $end; ++$from) {
                $contour[] = [(float) $xs[$from], (float) $ys[$from], ($flags[$from] & self::ON) !== 0];
            }
            $contours[] = $contour;
        }

        return $contours;
    }

    /**
     * @param list<int> $flags
     *
     * @return list<int>
     */
    private static function along(string $bytes, int &$at, array $flags, int $points, int $short, int $same): array
    {
        $values = [];
        $value = 0;
        for ($i = 0; $i < $points; ++$i) {
            if (($flags[$i] & $short) !== 0) {
                $value += (($flags[$i] & $same) !== 0 ? 1 : -1) * \ord($bytes[$at++] ?? "\0");
            } elseif (($flags[$i] & $same) === 0) {
                $value += self::signed($bytes, $at);
                $at += 2;
            }
            $values[] = $value;
        }

        return $values;
    }

    /** @return list<list<array{float, float, bool}>> */
    private function composed(string $bytes, int $depth): array
    {
        $contours = [];
        $at = 10;
        do {
            [$flags, $glyph] = [self::word($bytes, $at), self::word($bytes, $at + 2)];
            $at += 4;
            $isWide = ($flags & self::WORDS) !== 0;
            $byte = static fn(int $at): int => (\ord($bytes[$at] ?? "\0") ^ 0x80) - 0x80;
            [$dx, $dy] = match (true) {
                ($flags & self::PLACED) === 0 => [0, 0],
                $isWide => [self::signed($bytes, $at), self::signed($bytes, $at + 2)],
                default => [$byte($at), $byte($at + 1)],
            };
            $at += $isWide ? 4 : 2;
            $scale = static fn(int $k): float => self::signed($bytes, $at + 2 * $k) / 16384;
            [$a, $b, $c, $d, $used] = match (true) {
                ($flags & self::SCALE) !== 0 => [$scale(0), 0.0, 0.0, $scale(0), 2],
                ($flags & self::TWO_SCALES) !== 0 => [$scale(0), 0.0, 0.0, $scale(1), 4],
                ($flags & self::FOUR_SCALES) !== 0 => [$scale(0), $scale(1), $scale(2), $scale(3), 8],
                default => [1.0, 0.0, 0.0, 1.0, 0],
            };
            $at += $used;
            foreach ($this->contours($glyph, $depth + 1) as $contour) {
                $contours[] = array_map(
                    static fn(array $p): array => [$a * $p[0] + $c * $p[1] + $dx, $b * $p[0] + $d * $p[1] + $dy, $p[2]],
                    $contour,
                );
            }
        } while (($flags & self::MORE) !== 0 && $at + 4 <= \strlen($bytes));

        return $contours;
    }

    /**
     * A contour as lines: between two points beside it that follow each other lies one on it, half way.
     *
     * @param list<array{float, float, bool}> $points
     *
     * @return list<float>
     */
    private static function lines(array $points): array
    {
        $all = [];
        foreach ($points as $i => $p) {
            $before = $points[($i === 0 ? \count($points) : $i) - 1];
            if (!$p[2] && !$before[2]) {
                $all[] = [($p[0] + $before[0]) / 2, ($p[1] + $before[1]) / 2, true];
            }
            $all[] = $p;
        }
        $count = \count($all);
        $out = [];
        foreach ($all as $i => [$x, $y, $isOn]) {
            if ($isOn) {
                array_push($out, $x, $y);
                continue;
            }
            [[$x0, $y0], [$x1, $y1]] = [$all[($i + $count - 1) % $count], $all[($i + 1) % $count]];
            for ($k = 1; $k < self::PIECES; ++$k) {
                $t = $k / self::PIECES;
                $u = 1 - $t;
                array_push($out, $u * $u * $x0 + 2 * $u * $t * $x + $t * $t * $x1, $u * $u * $y0 + 2 * $u * $t * $y + $t * $t * $y1);
            }
        }

        return $out;
    }

    private static function word(string $bytes, int $at): int
    {
        return (\ord($bytes[$at] ?? "\0") << 8) | \ord($bytes[$at + 1] ?? "\0");
    }

    private static function signed(string $bytes, int $at): int
    {
        $word = self::word($bytes, $at);

        return $word >= 0x8000 ? $word - 0x10000 : $word;
    }
}
