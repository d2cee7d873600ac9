<?php

declare(strict_types=1);

namespace Embrel\Writer\Pdf;

/** The packed rows of a PNG file, which PDF reads as they are (ISO 32000-1, 7.4.4.4): where it is neither interlaced nor see-through. */
final class PngStream
{
    /** Colour type of PNG → colour space and components. */
    private const SPACES = [0 => ['/DeviceGray', 1], 2 => ['/DeviceRGB', 3]];

    /**
     * @return array{data: string, width: int, height: int, depth: int, space: string, colours: int}|null null where it has to be written anew
     */
    public static function of(string $png): ?array
    {
        if (\strlen($png) < 33) {
            return null;
        }
        [$depth, $colour, $interlace] = [\ord($png[24]), \ord($png[25]), \ord($png[28])];
        $space = self::SPACES[$colour] ?? null;
        if ($space === null || $interlace !== 0 || $depth > 8) {
            return null;
        }
        $data = '';
        for ($at = 8, $end = \strlen($png); $at + 12 <= $end;) {
            $length = self::long($png, $at);
            $type = substr($png, $at + 4, 4);
            if ($type === 'tRNS') {
                return null;
            }
            $data .= $type === 'IDAT' ? substr($png, $at + 8, $length) : '';
            $at += 12 + $length;
        }

        return $data === ''
            ? null
            : [
                'data' => $data,
                'width' => self::long($png, 16),
                'height' => self::long($png, 20),
                'depth' => $depth,
                'space' => $space[0],
                'colours' => $space[1],
            ];
    }

    private static function long(string $bytes, int $at): int
    {
        return (\ord($bytes[$at]) << 24) | (\ord($bytes[$at + 1]) << 16) | (\ord($bytes[$at + 2]) << 8) | \ord($bytes[$at + 3]);
    }
}
