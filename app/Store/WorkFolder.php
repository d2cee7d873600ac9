<?php

declare(strict_types=1);

namespace App\Store;

use Illuminate\Support\Facades\File;
use Illuminate\Support\Str;

/** A folder for one piece of work, gone when it is done. */
final class WorkFolder
{
    /**
     * @template T
     *
     * @param \Closure(string): T $work
     *
     * @return T
     */
    public static function with(\Closure $work): mixed
    {
        $folder = self::path();
        File::ensureDirectoryExists($folder, 0700);
        try {
            return $work($folder);
        } finally {
            File::deleteDirectory($folder);
        }
    }

    public static function path(string $name = ''): string
    {
        return storage_path('app/private/work-' . Str::lower(Str::random(16)) . $name);
    }

    /** A title as the name of a file that every system takes. */
    public static function fileName(string $title): string
    {
        $name = trim((string) preg_replace('/[\x00-\x1f\x7f<>:"\/\\\\|?*%]+/u', ' ', $title), ' .');

        return $name === '' ? 'Untitled' : mb_strcut($name, 0, 120);
    }
}
