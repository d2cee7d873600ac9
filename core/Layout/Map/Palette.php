<?php

declare(strict_types=1);

namespace Embrel\Layout\Map;

/** The colours of a map that leaves the page: those of resources/css/tokens.css by day. */
final class Palette
{
    public const INK = '#221B2B';
    public const SOFT = '#5E5668';
    public const FAINT = '#6F687A';
    public const SHEET = '#FFFFFF';
    public const DYES = [
        'madder' => '#A63A3A',
        'weld' => '#846604',
        'woad' => '#2F6690',
        'fern' => '#47753A',
        'walnut' => '#7A5A3C',
        'orchil' => '#8A4B8F',
        'verdigris' => '#287572',
        'slate' => '#5A6472',
    ];

    /** How much of its dye the ground of a main section takes on. */
    public const TINT = 0.14;

    public static function dye(string $dye): string
    {
        return self::DYES[$dye] ?? $dye;
    }

    /** A dye as the ground of a text. */
    public static function tint(string $dye): string
    {
        return self::mixed(self::dye($dye), self::SHEET, self::TINT);
    }

    /** @param float $share of the first, 0 to 1 */
    public static function mixed(string $one, string $other, float $share): string
    {
        $mixed = array_map(
            static fn(string $a, string $b): string => \sprintf('%02X', (int) round(hexdec($a) * $share + hexdec($b) * (1 - $share))),
            str_split(substr($one, 1), 2),
            str_split(substr($other, 1), 2),
        );

        return '#' . implode('', $mixed);
    }
}
