<?php

declare(strict_types=1);

namespace App\Store;

use Embrel\Limits;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;

/** Files that hang on a source or a topic: kept outside of what the web can reach, by their content. */
final class Attachments
{
    private const TYPES = [
        'application/pdf' => 'pdf',
        'image/png' => 'png',
        'image/jpeg' => 'jpg',
        'image/webp' => 'webp',
        'image/gif' => 'gif',
        'text/plain' => 'txt',
        'audio/mpeg' => 'mp3',
        'audio/ogg' => 'ogg',
        'application/ogg' => 'ogg',
        'audio/wav' => 'wav',
        'audio/x-wav' => 'wav',
        'audio/vnd.wave' => 'wav',
        'audio/flac' => 'flac',
        'audio/x-flac' => 'flac',
        'audio/mp4' => 'm4a',
        'audio/x-m4a' => 'm4a',
        'video/mp4' => 'm4a',
    ];

    /** @return array<string, list<array{id: string, name: string, bytes: int}>> source or topic → its files */
    public static function of(string $plan): array
    {
        $files = [];
        foreach (DB::table('attachments')->where('plan_id', $plan)->whereNull('removed_at')->orderBy('id')->get() as $row) {
            $files[$row->holder][] = ['id' => $row->id, 'name' => $row->name, 'bytes' => (int) $row->bytes];
        }

        return $files;
    }

    /**
     * @param string $holder the id of a source or topic of the plan
     *
     * @throws \DomainException with a sentence for the person
     */
    public static function keep(string $plan, string $id, string $holder, string $name, string $bytes): void
    {
        $size = \strlen($bytes);
        if ($size > Limits::ATTACHMENT) {
            throw new \DomainException('A file may have 20 MB at most.');
        }
        $type = (string) (new \finfo(FILEINFO_MIME_TYPE))->buffer($bytes);
        $extension
            = self::TYPES[$type]
            ?? throw new \DomainException(
                'This kind of file is not taken: PDF, pictures (PNG, JPEG, WebP, GIF), sounds (MP3, Ogg, WAV, FLAC, M4A) and plain text '
                    . 'are.',
            );
        Transaction::of(static function () use ($plan, $id, $holder, $name, $bytes, $size, $type, $extension): void {
            // One at a time, so that two at once do not pass the limit together.
            DB::table('plans')->where('id', $plan)->lockForUpdate()->value('id');
            self::isThere($plan, $holder) || throw new \DomainException('What the file was to hang on is no longer in this plan.');
            if (
                (int) DB::table('attachments')->where('plan_id', $plan)->whereNull('removed_at')->sum('bytes') + $size
                > Limits::ATTACHMENTS
            ) {
                throw new \DomainException('The files of a plan may have 200 MB in all. Take some out, or save this one smaller.');
            }
            self::makeRoom($plan, $size);
            $hash = hash('sha256', $bytes);
            File::ensureDirectoryExists(self::folder($plan), 0700);
            if (!is_file(self::path($plan, $hash)) && file_put_contents(self::path($plan, $hash) . '.part', $bytes) === $size) {
                rename(self::path($plan, $hash) . '.part', self::path($plan, $hash));
            }
            is_file(self::path($plan, $hash))
                || throw new \DomainException('The file could not be written on this machine. Nothing was kept.');
            DB::table('attachments')->insertOrIgnore([
                'plan_id' => $plan,
                'id' => $id,
                'holder' => $holder,
                'name' => self::named($name, $extension),
                'type' => $type,
                'bytes' => $size,
                'hash' => $hash,
            ]);
        });
    }

    /** Files that were taken off, and would make more than the limit with the others, go for good: the longest gone first. */
    private static function makeRoom(string $plan, int $size): void
    {
        $all = (int) DB::table('attachments')->where('plan_id', $plan)->sum('bytes') + $size;
        foreach (DB::table('attachments')->where('plan_id', $plan)->whereNotNull('removed_at')->orderBy('removed_at')->get() as $row) {
            if ($all <= Limits::ATTACHMENTS) {
                return;
            }
            DB::table('attachments')->where('plan_id', $plan)->where('id', $row->id)->delete();
            if (!DB::table('attachments')->where('plan_id', $plan)->where('hash', $row->hash)->exists()) {
                File::delete(self::path($plan, $row->hash));
            }
            $all -= (int) $row->bytes;
        }
    }

    private static function isThere(string $plan, string $holder): bool
    {
        return DB::table('sources')->where('plan_id', $plan)->where('id', $holder)->exists()
            || DB::table('topics')->where('plan_id', $plan)->where('id', $holder)->exists();
    }

    private static function named(string $name, string $extension): string
    {
        $bare = WorkFolder::fileName(mb_scrub(pathinfo($name, PATHINFO_FILENAME)));

        return "{$bare}.{$extension}";
    }

    /** @return object{name: string, type: string, path: string}|null */
    public static function find(string $plan, string $id): ?object
    {
        $row = DB::table('attachments')
            ->where('plan_id', $plan)
            ->where('id', $id)
            ->first(['name', 'type', 'hash']);

        return $row === null
            ? null
            : (object) ['name' => (string) $row->name, 'type' => (string) $row->type, 'path' => self::path($plan, $row->hash)];
    }

    /** The file stays on the disk, so that it can be brought back, as long as there is room. */
    public static function remove(string $plan, string $id, bool $back): void
    {
        DB::table('attachments')
            ->where('plan_id', $plan)
            ->where('id', $id)
            ->update(['removed_at' => $back ? null : now()]);
    }

    public static function erase(string $plan): void
    {
        File::deleteDirectory(self::folder($plan));
    }

    /** Folders of plans that are not there any more, and what was never written to its end. */
    public static function purge(): void
    {
        foreach (File::glob(storage_path('app/private/attachments/*')) as $folder) {
            if (filemtime($folder) < time() - 86_400 && DB::table('plans')->where('id', basename($folder))->doesntExist()) {
                File::deleteDirectory($folder);
            }
        }
        foreach (File::glob(storage_path('app/private/attachments/*/*.part')) as $path) {
            filemtime($path) < time() - 3_600 ? File::delete($path) : null;
        }
    }

    private static function folder(string $plan): string
    {
        return storage_path("app/private/attachments/{$plan}");
    }

    private static function path(string $plan, string $hash): string
    {
        return self::folder($plan) . "/{$hash}";
    }
}
