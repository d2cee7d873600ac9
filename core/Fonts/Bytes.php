<?php

declare(strict_types=1);

namespace Embrel\Fonts;

/** Numbers in the tables of fonts: the larger byte first; beyond the end of a table stand noughts. */
final class Bytes
{
    public static function word(string $bytes, int $at): int
    {
        return (\ord($bytes[$at] ?? "\0") << 8) | \ord($bytes[$at + 1] ?? "\0");
    }

    public static function signed(string $bytes, int $at): int
    {
        $word = self::word($bytes, $at);

        return $word >= 0x8000 ? $word - 0x10000 : $word;
    }

    public static function long(string $bytes, int $at): int
    {
        return (self::word($bytes, $at) << 16) | self::word($bytes, $at + 2);
    }
}
