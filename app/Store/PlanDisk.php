<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan;
use Illuminate\Filesystem\LocalFilesystemAdapter;
use Illuminate\Support\Facades\Storage;

/** Bytes of plans on a disk: by plan, and by their content, so that the same are there once. */
final readonly class PlanDisk
{
    private const PART = '.part';

    public function __construct(private string $disk) {}

    /**
     * Whole or not at all: under their name they are only when all of them are written.
     *
     * @param string|resource $bytes or what they are read from
     */
    public function write(string $plan, string $hash, $bytes): void
    {
        $disk = Storage::disk($this->disk);
        if ($disk->exists("{$plan}/{$hash}")) {
            return;
        }
        if (!$disk instanceof LocalFilesystemAdapter) {
            // An object store has the whole of it under its name, or nothing.
            $disk->put("{$plan}/{$hash}", $bytes);
        } else {
            $part = "{$plan}/{$hash}." . bin2hex(random_bytes(4)) . self::PART;
            $disk->put($part, $bytes);
            $disk->move($part, "{$plan}/{$hash}");
        }
    }

    /** The same bytes for another plan. */
    public function copy(string $from, string $to, string $hash): void
    {
        $disk = Storage::disk($this->disk);
        $disk->exists("{$to}/{$hash}") || $disk->copy("{$from}/{$hash}", "{$to}/{$hash}");
    }

    public function bytes(string $plan, string $hash): ?string
    {
        return Storage::disk($this->disk)->get("{$plan}/{$hash}");
    }

    /** @return resource|null null where they are not at hand */
    public function open(string $plan, string $hash)
    {
        $disk = Storage::disk($this->disk);

        return $disk->exists("{$plan}/{$hash}") ? $disk->readStream("{$plan}/{$hash}") : null;
    }

    public function drop(string $plan, string $hash): void
    {
        Storage::disk($this->disk)->delete("{$plan}/{$hash}");
    }

    public function erase(string $plan): void
    {
        Storage::disk($this->disk)->deleteDirectory($plan);
    }

    /** What is left of plans that are not there any more, and what was never written to its end. */
    public function purge(): void
    {
        Sweep::files(
            $this->disk,
            static fn(string $path): bool => !str_ends_with($path, self::PART) && Plan::withTrashed()->whereKey(\dirname($path))->exists(),
        );
    }
}
