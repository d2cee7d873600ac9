<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan as PlanRow;
use App\Models\User;
use Embrel\Document\PictureType;
use Embrel\Draft\Choices;
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
        $zip->addFromString('About these files.txt', "Your plans from Embrel. Each is here twice: as an outline file (.opml), which keeps everything but\nthe pictures on topics and can be taken in again, and as a word-processor document (.docx). The pictures\nstand in the documents, and each as a file of its own in the folder “pictures”.\n");
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
        foreach ($plan->standing() as $id) {
            $picture = $plan->topic($id)->picture;
            $bytes = $picture === null ? null : $pictures->bytes($picture->id);
            if ($picture !== null && $bytes !== null) {
                $zip->addFromString(\sprintf('pictures/%02d %s %s.%s', $number, WorkFolder::fileName($plan->topic($id)->title), substr($picture->id, 0, 6), PictureType::of($bytes)->value), $bytes);
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
