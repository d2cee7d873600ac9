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
        // An error that PHP does not survive leaves nothing either.
        register_shutdown_function(static fn() => is_dir($folder) ? File::deleteDirectory($folder) : null);
        try {
            return $work($folder);
        } finally {
            File::deleteDirectory($folder);
        }
    }

    /** Clears away what a process that was killed has left, in an hour. */
    public static function purge(): void
    {
        foreach (File::glob(storage_path('app/private/work-*')) as $path) {
            if (filemtime($path) < time() - 3_600) {
                is_dir($path) ? File::deleteDirectory($path) : File::delete($path);
            }
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
