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
    /** Lines that a curve is made of. */
    private const PIECES = 5;
    /** How deep glyphs may be put together out of others. */
    private const DEEPEST = 6;

    public function __construct(private Sfnt $font) {}

    /** @return list<list<float>> its contours: x and y by turns, in sizes of the type, y upwards */
    public function of(int $glyph): array
    {
        $em = $this->font->unitsPerEm;

        return array_map(
            static fn(array $contour): array => array_map(static fn(float $units): float => $units / $em, self::lines($contour)),
            $this->contours($glyph, 0),
        );
    }

    /** @return list<list<array{float, float, bool}>> points, each on the contour or beside it */
    private function contours(int $glyph, int $depth): array
    {
        $outline = $this->font->outline($glyph);
        if ($outline === '' || $depth > self::DEEPEST) {
            return [];
        }
        $contours = [];
        foreach (Component::of($outline) as $component) {
            [$a, $b, $c, $d] = $component->matrix;
            foreach ($this->contours($component->glyph, $depth + 1) as $contour) {
                $contours[] = array_map(static fn(array $p): array => [
                    $a * $p[0] + $c * $p[1] + $component->right,
                    $b * $p[0] + $d * $p[1] + $component->above,
                    $p[2],
                ], $contour);
            }
        }

        return $contours === [] ? self::simple($outline) : $contours;
    }

    /** @return list<list<array{float, float, bool}>> */
    private static function simple(string $outline): array
    {
        $ends = [];
        for ($i = 0, $count = Bytes::signed($outline, 0); $i < $count; ++$i) {
            $ends[] = Bytes::word($outline, 10 + 2 * $i);
        }
        $points = $ends === [] ? 0 : $ends[array_key_last($ends)] + 1;
        $at = 12 + 2 * \count($ends) + Bytes::word($outline, 10 + 2 * \count($ends));
        $flags = [];
        while (\count($flags) < $points) {
            $flag = \ord($outline[$at++] ?? "\0");
            $times = ($flag & self::REPEATED) === 0 ? 1 : 1 + \ord($outline[$at++] ?? "\0");
            array_push($flags, ...array_fill(0, $times, $flag));
        }
        $xs = self::along($outline, $at, $flags, $points, self::SHORT_X, self::SAME_X);
        $ys = self::along($outline, $at, $flags, $points, self::SHORT_Y, self::SAME_Y);
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
    private static function along(string $outline, int &$at, array $flags, int $points, int $short, int $same): array
    {
        $values = [];
        $value = 0;
        for ($i = 0; $i < $points; ++$i) {
            if (($flags[$i] & $short) !== 0) {
                $value += (($flags[$i] & $same) !== 0 ? 1 : -1) * \ord($outline[$at++] ?? "\0");
            } elseif (($flags[$i] & $same) === 0) {
                $value += Bytes::signed($outline, $at);
                $at += 2;
            }
            $values[] = $value;
        }

        return $values;
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
}
