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
        $type = FileType::of($path);
        $one = new Attachment([
            'plan_id' => $plan,
            'id' => $id,
            'holder' => $holder,
            'name' => self::named($name, $type->extension),
            'type' => $type->media,
            'bytes' => $size,
            'hash' => (string) hash_file('sha256', $path),
        ]);
        if ($size > ($one->plays() === null ? Limits::ATTACHMENT : Limits::MEDIA)) {
            throw new \DomainException('A file may have 20 MB at most, a sound or a film 100 MB.');
        }
        Quota::admitInto($plan, $size);
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
