<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Attachment;
use App\Models\Plan;
use Embrel\Limits;
use Illuminate\Database\Eloquent\Builder;
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
        'audio/wav' => 'wav',
        'audio/flac' => 'flac',
        'audio/mp4' => 'm4a',
        'audio/webm' => 'weba',
        'video/mp4' => 'mp4',
        'video/webm' => 'webm',
        'video/ogg' => 'ogv',
        'video/quicktime' => 'mov',
    ];
    /** What others call the same. */
    private const ALSO = [
        'application/ogg' => 'audio/ogg',
        'audio/x-wav' => 'audio/wav',
        'audio/vnd.wave' => 'audio/wav',
        'audio/x-flac' => 'audio/flac',
        'audio/x-m4a' => 'audio/mp4',
        'video/x-m4v' => 'video/mp4',
    ];
    /** Where a film says that it has pictures: the codecs of Matroska and Ogg, and ISO 14496-12, 8.4.3. */
    private const PICTURES = '/V_(?:VP8|VP9|AV1|MPEG)|hdlr.{8}vide|\x01video|\x80theora/s';
    private const SEARCHED = 1 << 20;

    public const DISK = 'attachments';

    /** @return array<string, list<array{id: string, name: string, bytes: int, plays: string|null}>> source or topic → its files; `plays`: sound or film */
    public static function of(string $plan): array
    {
        $files = [];
        foreach (Attachment::query()->where('plan_id', $plan)->where('removed_at', null)->get()->sortBy('id') as $one) {
            $files[$one->holder][] = ['id' => $one->id, 'name' => $one->name, 'bytes' => $one->bytes, 'plays' => $one->plays()];
        }

        return $files;
    }

    /**
     * @param string $holder the id of a source, a topic or a comment of the plan
     * @param string|\SplFileInfo $file its bytes, or the file as it came
     *
     * @throws \DomainException with a sentence for the person
     */
    public static function keep(string $plan, string $id, string $holder, string $name, string|\SplFileInfo $file): void
    {
        if ($file instanceof \SplFileInfo) {
            self::keepFile($plan, $id, $holder, $name, $file->getPathname());

            return;
        }
        WorkFolder::with(static function (string $folder) use ($plan, $id, $holder, $name, $file): void {
            file_put_contents("{$folder}/file", $file);
            self::keepFile($plan, $id, $holder, $name, "{$folder}/file");
        });
    }

    private static function keepFile(string $plan, string $id, string $holder, string $name, string $path): void
    {
        $size = (int) filesize($path);
        $type = self::type($path);
        $extension
            = self::TYPES[$type]
            ?? throw new \DomainException(
                'This kind of file is not taken: PDF, pictures (PNG, JPEG, WebP, GIF), sounds (MP3, Ogg, WAV, FLAC, M4A, WebM), films (MP4, WebM, Ogg, '
                    . 'MOV) and plain text are.',
            );
        $one = new Attachment([
            'plan_id' => $plan,
            'id' => $id,
            'holder' => $holder,
            'name' => self::named($name, $extension),
            'type' => $type,
            'bytes' => $size,
            'hash' => (string) hash_file('sha256', $path),
        ]);
        if ($size > ($one->plays() === null ? Limits::ATTACHMENT : Limits::MEDIA)) {
            throw new \DomainException('A file may have 20 MB at most, a sound or a film 100 MB.');
        }
        // Before the plan is locked: bytes may take their time. Where they are not kept in the end, they go again.
        self::write($one, $path);
        try {
            Transaction::of(static function () use ($plan, $one, $path): void {
                // One at a time, so that two at once do not pass the limit together.
                self::lock($plan);
                self::isThere($plan, $one->holder) || throw new \DomainException('What the file was to hang on is no longer in this plan.');
                [$of, $most] = self::limit($one);
                if ((int) $of->whereNull('removed_at')->sum('bytes') + $one->bytes > $most) {
                    throw new \DomainException($one->plays() === null
                        ? 'The files of a plan may have 200 MB in all. Take some out, or save this one smaller.'
                        : 'The sounds and films of a plan may have 1 GB in all. Take some out, or save this one smaller.');
                }
                Attachment::query()->insertOrIgnore([$one->getAttributes()]);
                // Another, who had brought the same and could not keep it, may have dropped it just now.
                self::write($one, $path);
                self::makeRoom($one);
            });
        } catch (\Throwable $why) {
            Transaction::of(static function () use ($one): void {
                self::lock($one->plan_id);
                self::drop($one);
            });

            throw $why;
        }
    }

    /** The media type by what is in a file; of one that could be either, whether there are pictures in it. */
    private static function type(string $path): string
    {
        $said = (string) (new \finfo(FILEINFO_MIME_TYPE))->file($path);
        $type = self::ALSO[$said] ?? $said;
        if (!\in_array($type, ['video/mp4', 'video/webm', 'audio/ogg', 'video/ogg'], true)) {
            return $type;
        }
        // What says so stands near the beginning, or at the end.
        $size = (int) filesize($path);
        $isFilm = preg_match(self::PICTURES, (string) file_get_contents($path, false, null, 0, self::SEARCHED)) === 1
            || preg_match(self::PICTURES, (string) file_get_contents($path, false, null, max(0, $size - self::SEARCHED))) === 1;

        return ($isFilm ? 'video' : 'audio') . strstr($type, '/');
    }

    /** @return array{Builder<Attachment>, int} those that count with it, and how many bytes they may have in all */
    private static function limit(Attachment $one): array
    {
        $all = Attachment::query()->where('plan_id', $one->plan_id);
        $isPlayed = $one->plays() !== null;
        $all->where(static fn(Builder $query) => $isPlayed
            ? $query->where('type', 'like', 'audio/%')->orWhere('type', 'like', 'video/%')
            : $query->where('type', 'not like', 'audio/%')->where('type', 'not like', 'video/%'));

        return [$all, $isPlayed ? Limits::MEDIA_ALL : Limits::ATTACHMENTS];
    }

    private static function lock(string $plan): void
    {
        Plan::withTrashed()->whereKey($plan)->lockForUpdate()->value('id');
    }

    private static function write(Attachment $one, string $path): void
    {
        $in = fopen($path, 'r') ?: throw new \RuntimeException('The file that came cannot be read.');
        try {
            self::disk()->write($one->plan_id, $one->hash, $in);
        } catch (FilesystemException) {
            throw new \DomainException('The file could not be written on this machine. Nothing was kept.');
        } finally {
            \is_resource($in) && fclose($in);
        }
    }

    /** Files that were taken off, and make more than the limit with the others, go for good: the longest gone first. */
    private static function makeRoom(Attachment $new): void
    {
        [$of, $most] = self::limit($new);
        $all = (int) $of->clone()->sum('bytes');
        foreach ($of->where('removed_at', '!=', null)->get()->sortBy('removed_at') as $one) {
            if ($all <= $most) {
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
