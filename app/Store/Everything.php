<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan as PlanRow;
use App\Models\User;
use Embrel\Document\PictureType;
use Embrel\Draft\Choices;
use Embrel\Plan\Plan;
use Embrel\Writer\Format;

/** All of a person's plans in one zip: each as an outline file, which keeps everything but pictures, and as a document; and the pictures. */
final class Everything
{
    public function __construct(private readonly PlanStore $store) {}

    /** @return string the path of the zip; the caller removes it */
    public function zip(User $user): string
    {
        $path = WorkFolder::path('.zip');
        $zip = new \ZipArchive();
        $zip->open($path, \ZipArchive::CREATE | \ZipArchive::OVERWRITE);
        $zip->addFromString('About these files.txt', "Your plans from Embrel. Each is here twice: as an outline file (.opml), which keeps everything but\nthe pictures and files and can be taken in again, and as a word-processor document (.docx). The pictures\nstand in the documents, and each as a file of its own in the folder “pictures”; what hangs on topics and sources is in “files”.\n");
        foreach ($user->allPlans()->lazyById(50) as $i => $row) {
            $this->add($zip, $row, $i + 1);
        }
        $zip->close();

        return $path;
    }

    private function add(\ZipArchive $zip, PlanRow $row, int $number): void
    {
        $plan = $this->store->load($row, true);
        $pictures = new PlanPictures($row->id);
        foreach ([Plan::ROOT, ...$plan->standing()] as $id) {
            foreach (PlanPictures::of([$plan->topic($id)]) as $picture) {
                $bytes = $pictures->bytes($picture);
                if ($bytes !== null) {
                    $zip->addFromString(\sprintf('pictures/%02d %s %s.%s', $number, WorkFolder::fileName($plan->topic($id)->title), substr($picture, 0, 6), PictureType::of($bytes)->value), $bytes);
                }
            }
        }
        foreach (array_merge(...array_values(Attachments::of($row->id))) as $file) {
            $kept = Attachments::find($row->id, $file['id']);
            if ($kept !== null && is_file($kept->path)) {
                $zip->addFile($kept->path, \sprintf('files/%02d %s %s', $number, substr($file['id'], -4), $kept->name));
            }
        }
        foreach ([Format::Opml, Format::Docx] as $format) {
            WorkFolder::with(static function (string $folder) use ($zip, $row, $number, $plan, $format, $pictures): void {
                $out = fopen('php://temp', 'w+') ?: throw new \RuntimeException('No temporary stream could be opened.');
                $format->writer()->write($plan, new Choices(loose: $format === Format::Opml, pictures: $pictures), $out, $folder);
                rewind($out);
                $zip->addFromString(\sprintf('%02d %s.%s', $number, WorkFolder::fileName($row->title), $format->value), (string) stream_get_contents($out));
            });
        }
    }
}
