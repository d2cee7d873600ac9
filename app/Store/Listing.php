<?php

declare(strict_types=1);

namespace App\Store;

use Illuminate\Contracts\Filesystem\Filesystem;
use Illuminate\Filesystem\FilesystemAdapter;
use League\Flysystem\FileAttributes;

/** What is on a disk, with size and age, one after the other: not asked for each by itself, and never all at once. */
final class Listing
{
    /** @return \Generator<string, FileAttributes> by path */
    public static function of(Filesystem $disk, string $below = ''): \Generator
    {
        if (!$disk instanceof FilesystemAdapter) {
            throw new \LogicException('Every disk of ours is one of Flysystem.');
        }
        foreach ($disk->getDriver()->listContents($below, true) as $one) {
            if ($one instanceof FileAttributes) {
                yield $one->path() => $one;
            }
        }
    }
}
