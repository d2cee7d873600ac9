<?php

declare(strict_types=1);

namespace App\Store;

use Illuminate\Support\Facades\Storage;

/** What is on a disk and belongs to nothing: found by its age, as what is new may only not be written down yet. */
final class Sweep
{
    private const OLD = 86_400;

    /** @param \Closure(string): bool $isKnown whether a file belongs to something, by its path */
    public static function files(string $disk, \Closure $isKnown): void
    {
        $disk = Storage::disk($disk);
        foreach ($disk->allFiles() as $path) {
            if ($disk->lastModified($path) < time() - self::OLD && !$isKnown($path)) {
                $disk->delete($path);
            }
        }
        foreach ($disk->directories() as $folder) {
            $disk->allFiles($folder) === [] && $disk->deleteDirectory($folder);
        }
    }
}
