<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\User;
use Embrel\Id\Ids;
use Embrel\Id\Ulid;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;

/** Files that came up once and wait while a person chooses how they are to be taken in; gone when they were, or after a day. */
final readonly class WaitingFiles
{
    public const DISK = 'waiting';
    private const NAME = '.name';
    /** Of one person. */
    private const MOST = 20;
    private const MOST_BYTES = 256 * 1024 * 1024;

    public function __construct(private Ids $ids) {}

    /** @return string by which it is found again */
    public function keep(User $user, UploadedFile $file): string
    {
        $id = $this->ids->next();
        $this->makeRoom($user, (int) $file->getSize());
        Storage::disk(self::DISK)->putFileAs((string) $user->id, $file, $id);
        Storage::disk(self::DISK)->put("{$user->id}/{$id}" . self::NAME, mb_strcut(mb_scrub($file->getClientOriginalName()), 0, 400));

        return $id;
    }

    /** Null where this person has no such file waiting. */
    public function find(User $user, string $id): ?WaitingFile
    {
        $path = "{$user->id}/{$id}";

        return Ulid::isValid($id) && Storage::disk(self::DISK)->exists($path)
            ? new WaitingFile($path, (string) Storage::disk(self::DISK)->get($path . self::NAME))
            : null;
    }

    public function forget(User $user, string $id): void
    {
        $found = $this->find($user, $id);
        $found === null ? null : Storage::disk(self::DISK)->delete([$found->path, $found->path . self::NAME]);
    }

    /** Those that wait longest make room for one more: what they hold is still where it came from. */
    private function makeRoom(User $user, int $bytes): void
    {
        $disk = Storage::disk(self::DISK);
        $isFile = static fn(string $path): bool => !str_ends_with($path, self::NAME);
        $paths = array_values(array_filter($disk->files((string) $user->id), $isFile));
        rsort($paths);
        foreach ($paths as $i => $path) {
            $bytes += $disk->size($path);
            $i + 1 >= self::MOST || $bytes > self::MOST_BYTES ? $disk->delete([$path, $path . self::NAME]) : null;
        }
    }

    public function forgetAll(User $user): void
    {
        Storage::disk(self::DISK)->deleteDirectory((string) $user->id);
    }

    /** Forgets what was never taken in. */
    public static function purge(): void
    {
        Sweep::files(self::DISK, static fn(): bool => false);
    }
}
