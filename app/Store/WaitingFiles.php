<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\User;
use Embrel\Id\Ids;
use Embrel\Id\Ulid;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Storage;

/** Files that came up once and wait while a person chooses how they are to be taken in; gone when they were, or after a day. */
final readonly class WaitingFiles
{
    /** Of one person. */
    private const MOST = 20;
    private const MOST_BYTES = 256 * 1024 * 1024;

    public function __construct(private Ids $ids) {}

    private function folder(User $user): string
    {
        return Storage::disk('local')->path("waiting/{$user->id}");
    }

    /** @return string by which it is found again */
    public function keep(User $user, UploadedFile $file): string
    {
        $id = $this->ids->next();
        File::ensureDirectoryExists($this->folder($user), 0700);
        $this->makeRoom($user, (int) $file->getSize());
        $file->move($this->folder($user), $id);
        File::put("{$this->folder($user)}/{$id}.name", mb_strcut(mb_scrub($file->getClientOriginalName()), 0, 400));

        return $id;
    }

    /** @return array{path: string, name: string}|null null where this person has no such file waiting */
    public function find(User $user, string $id): ?array
    {
        $path = "{$this->folder($user)}/{$id}";

        return Ulid::isValid($id) && is_file($path) ? ['path' => $path, 'name' => File::get("{$path}.name")] : null;
    }

    public function forget(User $user, string $id): void
    {
        $found = $this->find($user, $id);
        $found === null ? null : File::delete([$found['path'], "{$found['path']}.name"]);
    }

    /** Those that wait longest make room for one more: what they hold is still where it came from. */
    private function makeRoom(User $user, int $bytes): void
    {
        $paths = array_values(
            array_filter(File::glob("{$this->folder($user)}/*"), static fn(string $path): bool => !str_ends_with($path, '.name')),
        );
        rsort($paths);
        foreach ($paths as $i => $path) {
            $bytes += (int) filesize($path);
            $i + 1 >= self::MOST || $bytes > self::MOST_BYTES ? File::delete([$path, "{$path}.name"]) : null;
        }
    }

    public function forgetAll(User $user): void
    {
        File::deleteDirectory($this->folder($user));
    }

    /** Forgets what was never taken in. */
    public static function purge(): void
    {
        foreach (File::glob(Storage::disk('local')->path('waiting/*/*')) as $path) {
            filemtime($path) < time() - 86_400 ? File::delete($path) : null;
        }
        foreach (File::glob(Storage::disk('local')->path('waiting/*')) as $folder) {
            File::isEmptyDirectory($folder) ? File::deleteDirectory($folder) : null;
        }
    }
}
