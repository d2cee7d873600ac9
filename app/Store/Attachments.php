<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Attachment;
use App\Models\Plan;
use Embrel\Limits;
use Illuminate\Support\Facades\DB;
use League\Flysystem\FilesystemException;

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

    public const DISK = 'attachments';

    /** @return array<string, list<array{id: string, name: string, bytes: int}>> source or topic → its files */
    public static function of(string $plan): array
    {
        $files = [];
        foreach (Attachment::query()->where('plan_id', $plan)->where('removed_at', null)->get()->sortBy('id') as $one) {
            $files[$one->holder][] = ['id' => $one->id, 'name' => $one->name, 'bytes' => $one->bytes];
        }

        return $files;
    }

    /**
     * @param string $holder the id of a source, a topic or a comment of the plan
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
        $hash = hash('sha256', $bytes);
        $one = new Attachment([
            'plan_id' => $plan,
            'id' => $id,
            'holder' => $holder,
            'name' => self::named($name, $extension),
            'type' => $type,
            'bytes' => $size,
            'hash' => $hash,
        ]);
        // Before the plan is locked: bytes may take their time. Where they are not kept in the end, they go again.
        self::write($one, $bytes);
        try {
            Transaction::of(static function () use ($plan, $size, $one, $bytes): void {
                // One at a time, so that two at once do not pass the limit together.
                self::lock($plan);
                self::isThere($plan, $one->holder) || throw new \DomainException('What the file was to hang on is no longer in this plan.');
                $all = Attachment::query()->where('plan_id', $plan);
                if ((int) $all->clone()->whereNull('removed_at')->sum('bytes') + $size > Limits::ATTACHMENTS) {
                    throw new \DomainException('The files of a plan may have 200 MB in all. Take some out, or save this one smaller.');
                }
                Attachment::query()->insertOrIgnore([$one->getAttributes()]);
                // Another, who had brought the same and could not keep it, may have dropped it just now.
                self::write($one, $bytes);
                self::makeRoom($plan);
            });
        } catch (\Throwable $why) {
            Transaction::of(static function () use ($one): void {
                self::lock($one->plan_id);
                self::drop($one);
            });

            throw $why;
        }
    }

    private static function lock(string $plan): void
    {
        Plan::withTrashed()->whereKey($plan)->lockForUpdate()->value('id');
    }

    private static function write(Attachment $one, string $bytes): void
    {
        try {
            self::disk()->write($one->plan_id, $one->hash, $bytes);
        } catch (FilesystemException) {
            throw new \DomainException('The file could not be written on this machine. Nothing was kept.');
        }
    }

    /** Files that were taken off, and make more than the limit with the others, go for good: the longest gone first. */
    private static function makeRoom(string $plan): void
    {
        $all = (int) Attachment::query()->where('plan_id', $plan)->sum('bytes');
        $gone = Attachment::query()->where('plan_id', $plan)->where('removed_at', '!=', null)->get()->sortBy('removed_at');
        foreach ($gone as $one) {
            if ($all <= Limits::ATTACHMENTS) {
                return;
            }
            $one->delete();
            self::drop($one);
            $all -= $one->bytes;
        }
    }

    /** Its bytes, unless the same hang on something else. */
    private static function drop(Attachment $one): void
    {
        if (!Attachment::query()->where('plan_id', $one->plan_id)->where('hash', $one->hash)->exists()) {
            self::disk()->drop($one->plan_id, $one->hash);
        }
    }

    private static function isThere(string $plan, string $holder): bool
    {
        return DB::table('sources')->where('plan_id', $plan)->where('id', $holder)->exists()
            || DB::table('topics')->where('plan_id', $plan)->where('id', $holder)->exists()
            || DB::table('comments')->where('plan_id', $plan)->where('id', $holder)->exists();
    }

    private static function named(string $name, string $extension): string
    {
        $bare = WorkFolder::fileName(mb_scrub(pathinfo($name, PATHINFO_FILENAME)));

        return "{$bare}.{$extension}";
    }

    /** @return resource|null its bytes; null where they are not at hand */
    public static function open(Attachment $one)
    {
        return self::disk()->open($one->plan_id, $one->hash);
    }

    /** The file stays on the disk, so that it can be brought back, as long as there is room. */
    public static function remove(Attachment $one, bool $back): void
    {
        $one->update(['removed_at' => $back ? null : now()]);
    }

    public static function disk(): PlanDisk
    {
        return new PlanDisk(self::DISK);
    }
}
