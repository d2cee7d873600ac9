<?php

declare(strict_types=1);

namespace Embrel\Layout\Map;

/** What is printed on the ground of a map. */
enum Paper: string
{
    case Plain = 'plain';
    case Ruled = 'ruled';
    case Squared = 'squared';

    /** From line to line, in pixels. */
    public const STEP = 28.0;

    public function label(): string
    {
        return match ($this) {
            self::Plain => 'Plain',
            self::Ruled => 'Ruled',
            self::Squared => 'Squared',
        };
    }

    /** @return string the lines within a rectangle, as a path of SVG; '' for none */
    public function lines(float $left, float $top, float $width, float $height): string
    {
        if ($this === self::Plain) {
            return '';
        }
        $path = '';
        [$right, $bottom] = [round($left + $width, 1), round($top + $height, 1)];
        for ($y = ceil($top / self::STEP) * self::STEP; $y < $bottom; $y += self::STEP) {
            $path .= 'M' . round($left, 1) . " {$y}H{$right}";
        }
        if ($this === self::Squared) {
            for ($x = ceil($left / self::STEP) * self::STEP; $x < $right; $x += self::STEP) {
                $path .= "M{$x} " . round($top, 1) . "V{$bottom}";
            }
        }

        return $path;
    }
}
