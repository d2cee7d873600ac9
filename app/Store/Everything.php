<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Attachment;
use App\Models\Picture;
use App\Models\Plan as PlanRow;
use App\Models\PlanPattern;
use App\Models\User;
use Embrel\Document\PictureType;
use Embrel\Draft\Choices;
use Embrel\Draft\OutlineChoices;
use Embrel\Plan\Plan;
use Embrel\Writer\Format;
use Illuminate\Support\Facades\DB;

/**
 * All of a person's plans in one zip: each as an outline file, which keeps everything but pictures, and as a
 * document; and the pictures.
 */
final class Everything
{
    /** With everything that one may hand over; in seconds, after which no more is begun. */
    private const PATIENCE = 600;
    private const EVERY = [
        ...[Format::Odt, Format::Pdf, Format::Html, Format::Epub, Format::Markdown, Format::Latex, Format::Text, Format::Csv],
        ...[Format::Svg, Format::MapPdf, Format::Pptx, Format::Odp],
    ];

    public function __construct(private readonly PlanStore $store, private readonly WholeAccount $whole) {}

    /** Whether it is more than can be made while one waits. */
    public static function isLong(User $user): bool
    {
        return self::weight($user) > 2_000_000;
    }

    /** About how many bytes are to be written. */
    public static function weight(User $user): int
    {
        $plans = $user->allPlans()->pluck('id');
        $topics = DB::table('topics')->whereIn('plan_id', $plans)->whereNull('removed_at')->count();

        return HandedOver::weight($topics, (int) $user->allPlans()->sum('words'))
            + (int) Attachment::query()->whereIn('plan_id', $plans)->sum('bytes')
            + (int) Picture::query()->whereIn('plan_id', $plans)->sum('size');
    }

    public static function name(): string
    {
        return 'embrel-' . now()->format('Y-m-d') . '.zip';
    }

    /**
     * @param (\Closure(int, int): mixed)|null $tell hears how many plans are done, of how many
     *
     * @param bool                               $inEvery each plan in every other format too, in the folder “formats”
     *
     * @return string the path of the zip; the caller removes it
     */
    public function zip(User $user, ?\Closure $tell = null, bool $inEvery = false): string
    {
        $path = WorkFolder::path('.zip');
        // What goes into a zip is read when it is closed: the files stand until then.
        WorkFolder::with(function (string $folder) use ($path, $user, $tell, $inEvery): void {
            $until = microtime(true) + self::PATIENCE;
            $named = [];
            $zip = new \ZipArchive();
            $zip->open($path, \ZipArchive::CREATE | \ZipArchive::OVERWRITE);
            $zip->addFromString(
                'About these files.txt',
                <<<'TEXT'
                    Your plans from Embrel. Each is here twice: as an outline file (.opml), which keeps everything but
                    the pictures and files and can be taken in again, and as a word-processor document (.docx). The pictures
                    stand in the documents, and each as a file of its own in the folder “pictures”; what hangs on topics and
                    sources is in “files”; patterns of your own are in “patterns”. The folder “whole” holds each plan with everything
                    that has happened to it, and what was said; another Embrel takes it in (Account, Everything of yours). “formats”,
                    where it is there, has each plan in every other format.

                    TEXT,
            );
            $count = $user->allPlans()->count();
            foreach ($user->allPlans()->lazyById(50) as $i => $row) {
                $named += $this->add($zip, $row, $i + 1, $folder, $inEvery && microtime(true) < $until);
                $tell === null ? null : $tell($i + 1, $count);
            }
            foreach (PlanPattern::query()->where('user_id', $user->id)->lazyById(10) as $i => $pattern) {
                $name = \sprintf('patterns/%02d %s.opml', $i + 1, WorkFolder::fileName($pattern->name));
                $this->write($zip, $pattern->plan(), Format::Opml, new Choices(), "{$folder}/pattern-{$i}.opml", $name);
            }
            $this->whole->write($user, static fn(string $file, string $name): bool => $zip->addFile($file, $name), $folder, $named);
            $zip->close() || throw new \RuntimeException('The zip could not be written.');
        });

        return $path;
    }

    /** @return array<string, string> the hash of each picture and file of it → its name in the zip */
    private function add(\ZipArchive $zip, PlanRow $row, int $number, string $folder, bool $inEvery): array
    {
        $plan = $this->store->load($row, true);
        $pictures = new PlanPictures($row->id);
        $named = [];
        $keep = static function (string $hash, string $name, $bytes) use ($zip, $folder, &$named): void {
            file_put_contents($path = $folder . '/' . hash('xxh128', $name), $bytes);
            $zip->addFile($path, $name);
            $named[$hash] = $name;
        };
        foreach ([Plan::ROOT, ...$plan->standing()] as $id) {
            foreach (PlanPictures::of([$plan->topic($id)]) as $picture) {
                $bytes = $pictures->bytes($picture);
                if ($bytes !== null) {
                    $end = substr($picture, 0, 6) . '.' . PictureType::of($bytes)->value;
                    $keep($picture, \sprintf('pictures/%02d %s %s', $number, WorkFolder::fileName($plan->topic($id)->title), $end), $bytes);
                }
            }
        }
        foreach ($row->attachments()->where('removed_at', null)->get()->sortBy('id') as $one) {
            $in = Attachments::open($one);
            if ($in !== null) {
                $keep($one->hash, \sprintf('files/%02d %s %s', $number, substr($one->id, -4), $one->name), $in);
                fclose($in);
            }
        }
        $name = \sprintf('%02d %s', $number, WorkFolder::fileName($row->title));
        foreach ([Format::Opml, Format::Docx] as $format) {
            $choices = new Choices(pictures: $pictures, outline: new OutlineChoices(loose: $format === Format::Opml));
            $this->write($zip, $plan, $format, $choices, "{$folder}/{$number}.{$format->value}", "{$name}.{$format->value}");
        }
        foreach ($inEvery ? self::EVERY : [] as $format) {
            $end = $format === Format::MapPdf ? 'map.pdf' : $format->extension();
            $path = "{$folder}/{$number}-{$format->value}";
            $this->write($zip, $plan, $format, new Choices(pictures: $pictures), $path, "formats/{$name}.{$end}");
        }

        return $named;
    }

    private function write(\ZipArchive $zip, Plan $plan, Format $format, Choices $choices, string $path, string $name): void
    {
        $out = fopen($path, 'w') ?: throw new \RuntimeException('The file cannot be written.');
        WorkFolder::with(static fn(string $work): array => $format->writer()->write($plan, $choices, $out, $work));
        fclose($out);
        $zip->addFile($path, $name);
    }
}
