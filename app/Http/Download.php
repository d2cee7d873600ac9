<?php

declare(strict_types=1);

namespace App\Http;

use App\Store\WorkFolder;
use Illuminate\Filesystem\FilesystemAdapter;
use Illuminate\Http\Response;
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

    /**
     * Text as a file, called after a title as far as a name can hold it.
     *
     * @param string $plain its name for who cannot read the title
     */
    public static function text(string $body, string $type, string $title, string $plain, string $extension): Response
    {
        return new Response($body, 200, [
            'Content-Type' => $type,
            'Content-Disposition'
                => "attachment; filename=\"{$plain}.{$extension}\"; filename*=UTF-8''"
                    . rawurlencode(WorkFolder::fileName($title) . ".{$extension}"),
        ]);
    }
}
