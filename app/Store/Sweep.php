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
        $emptied = [];
        // With its age, and a page of the list at a time: a store may hold millions.
        foreach (Listing::of($disk) as $path => $file) {
            if ($file->lastModified() < time() - self::OLD && !$isKnown($path)) {
                $disk->delete($path);
                $emptied[\dirname($path)] = true;
            }
        }
        // Of others an empty folder may be where something is about to be written.
        foreach (array_keys(array_diff_key($emptied, ['.' => true])) as $folder) {
            $disk->allFiles((string) $folder) === [] && $disk->deleteDirectory((string) $folder);
        }
    }
}
