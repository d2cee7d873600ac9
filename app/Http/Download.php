<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Filesystem\FilesystemAdapter;
use Illuminate\Support\Facades\Storage;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** A file of a disk as one to be saved, whatever is in it: nothing that people sent is shown in place. */
final class Download
{
    public static function of(string $disk, string $path, string $name, string $type): StreamedResponse
    {
        /** @var FilesystemAdapter $files */
        $files = Storage::disk($disk);

        return $files->exists($path) ? $files->download($path, $name, ['Content-Type' => $type]) : abort(404);
    }
}
