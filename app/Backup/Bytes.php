<?php

declare(strict_types=1);

namespace App\Backup;

use App\Store\Listing;
use Illuminate\Contracts\Filesystem\Filesystem;

/** Brings what is on one disk and not on another from there to here: into a backup, and out of it. */
final class Bytes
{
    /**
     * @param string $below where on the disk it comes from; empty: all of it
     * @param string $to    where on the other it goes
     *
     * @return array{files: int, bytes: int, brought: int, gone: int} what is there now; how many came; how many were deleted on the way
     *
     * @throws BackupFailed
     */
    public static function bring(Filesystem $from, string $below, Filesystem $into, string $to): array
    {
        $there = [];
        foreach (Listing::of($into, $to) as $path => $file) {
            $there[$path] = $file->fileSize();
        }
        $told = ['files' => 0, 'bytes' => 0, 'brought' => 0, 'gone' => 0];
        foreach (Listing::of($from, $below) as $path => $file) {
            // What is being written, and what keeps a folder in a repository.
            if (str_ends_with($path, '.part') || basename($path)[0] === '.') {
                continue;
            }
            $at = ltrim($to . '/' . ltrim(substr($path, \strlen($below)), '/'), '/');
            $size = (int) $file->fileSize();
            $isNew = ($there[$at] ?? null) !== $size;
            if ($isNew && !self::copied($from, $path, $into, $at)) {
                ++$told['gone'];
                continue;
            }
            ++$told['files'];
            $told['bytes'] += $size;
            $told['brought'] += $isNew ? 1 : 0;
        }

        return $told;
    }

    /** @return bool false: it was deleted meanwhile */
    private static function copied(Filesystem $from, string $path, Filesystem $into, string $at): bool
    {
        try {
            $in = $from->readStream($path) ?? throw new \RuntimeException('It cannot be read.');
            $into->writeStream($at, $in);
            \is_resource($in) && fclose($in);

            return true;
        } catch (\Throwable $why) {
            return $from->exists($path) ? throw new BackupFailed("The file {$path} could not be copied: " . $why::class) : false;
        }
    }
}
