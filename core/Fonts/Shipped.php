<?php

declare(strict_types=1);

namespace Embrel\Fonts;

/** The fonts that go into files: TrueType, each face in parts by script. */
final class Shipped
{
    /** @return string the bytes of a font by its name, such as serif-bold-latin; empty where there is none of that name */
    public static function bytes(string $name): string
    {
        $path = self::path($name);

        return $path === null ? '' : (string) file_get_contents($path);
    }

    /** @return string|null where a font is, for what reads it by itself; null where there is none of that name */
    public static function path(string $name): ?string
    {
        $path = \dirname(__DIR__, 2) . "/resources/fonts/{$name}.ttf";

        return is_file($path) ? $path : null;
    }
}
