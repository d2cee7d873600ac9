<?php

declare(strict_types=1);

namespace App\Hosts;

/** Which version of Embrel this host has: told with every answer, so that a page that is older finds out. */
final class Release
{
    public const HEADER = 'X-Embrel-Version';

    private static ?string $id = null;

    /** By what is built: two hosts with the same scripts and pages have the same. */
    public static function id(): string
    {
        return self::$id ??= substr(hash('xxh128', (string) @file_get_contents(public_path('build/manifest.json'))), 0, 12);
    }
}
