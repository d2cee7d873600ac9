<?php

declare(strict_types=1);

namespace Embrel\Fonts;

/** Which glyph draws which sign: the table cmap, in its formats 12 and 4 (OpenType 1.9). */
final class SignMap
{
    /** @return array<int, int> code point → glyph */
    public static function of(string $cmap): array
    {
        $tables = [];
        for ($i = 0, $count = Bytes::word($cmap, 2); $i < $count; ++$i) {
            $at = Bytes::long($cmap, 8 + 8 * $i);
            $tables[Bytes::word($cmap, $at)] ??= $at;
        }

        return match (true) {
            isset($tables[12]) => self::groups($cmap, $tables[12]),
            isset($tables[4]) => self::segments($cmap, $tables[4]),
            default => [],
        };
    }

    /** @return array<int, int> */
    private static function groups(string $cmap, int $at): array
    {
        $glyphs = [];
        for ($i = 0, $count = Bytes::long($cmap, $at + 12); $i < $count; ++$i) {
            $group = $at + 16 + 12 * $i;
            $glyph = Bytes::long($cmap, $group + 8);
            for ($sign = Bytes::long($cmap, $group), $last = Bytes::long($cmap, $group + 4); $sign <= $last; ++$sign) {
                $glyphs[$sign] = $glyph++;
            }
        }

        return $glyphs;
    }

    /** @return array<int, int> */
    private static function segments(string $cmap, int $at): array
    {
        $glyphs = [];
        $double = Bytes::word($cmap, $at + 6);
        [$ends, $starts, $deltas, $offsets] = [$at + 14, $at + 16 + $double, $at + 16 + 2 * $double, $at + 16 + 3 * $double];
        for ($k = 0; $k < $double; $k += 2) {
            $offset = Bytes::word($cmap, $offsets + $k);
            $start = Bytes::word($cmap, $starts + $k);
            $delta = Bytes::word($cmap, $deltas + $k);
            for ($sign = $start, $end = Bytes::word($cmap, $ends + $k); $sign <= $end && $sign < 0xffff; ++$sign) {
                $glyph = $offset === 0 ? $sign : Bytes::word($cmap, $offsets + $k + $offset + 2 * ($sign - $start));
                if ($glyph !== 0) {
                    $glyphs[$sign] = ($glyph + $delta) & 0xffff;
                }
            }
        }

        return $glyphs;
    }
}
