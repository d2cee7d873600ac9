<?php

declare(strict_types=1);

namespace App\Store;

use Embrel\Reader\Unreadable;
use Illuminate\Support\Facades\Storage;

/** A file that came up and waits. */
final readonly class WaitingFile
{
    public function __construct(public string $path, public string $name) {}

    /** In bytes. */
    public function size(): int
    {
        return Storage::disk(WaitingFiles::DISK)->size($this->path);
    }

    /**
     * @return resource
     *
     * @throws Unreadable
     */
    public function open()
    {
        return Storage::disk(WaitingFiles::DISK)->readStream($this->path) ?? throw Unreadable::gone();
    }
}
