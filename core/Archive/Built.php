<?php

declare(strict_types=1);

namespace Embrel\Archive;

/** What is built of scripts and styles for files that carry them. */
final class Built
{
    /** @return string|null the bytes of a file of the page that stands alone, such as alone.js; null where it is not built */
    public static function alone(string $name): ?string
    {
        $path = \dirname(__DIR__, 2) . "/public/build/alone/{$name}";

        return is_file($path) ? (file_get_contents($path) ?: null) : null;
    }
}
