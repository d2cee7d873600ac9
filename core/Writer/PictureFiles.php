<?php

declare(strict_types=1);

namespace Embrel\Writer;

use Embrel\Archive\ZipFile;
use Embrel\Document\Pictures;
use Embrel\Document\PictureType;

/** The pictures of a package: each goes in once, where a writer asks for it first. */
final class PictureFiles
{
    /** @var array<string, array{name: string, type: PictureType}> picture → its file */
    public array $files = [];
    /** @var array<string, float> */
    private array $aspects = [];

    public function __construct(
        private readonly ZipFile $zip,
        private readonly ?Pictures $pictures,
        private readonly string $folder,
        private readonly string $within = '',
    ) {}

    /** @return float the height of a picture against its width; 1 where it is not at hand */
    public function aspect(string $id): float
    {
        if (!isset($this->aspects[$id])) {
            $size = @getimagesizefromstring((string) $this->pictures?->bytes($id));
            $this->aspects[$id] = $size === false || $size[0] === 0 ? 1.0 : $size[1] / $size[0];
        }

        return $this->aspects[$id];
    }

    /** @return string|null the name of its file as a page in the package names it; null where the picture is not at hand */
    public function name(string $id): ?string
    {
        if (!isset($this->files[$id])) {
            $bytes = $this->pictures?->bytes($id);
            if ($bytes === null) {
                return null;
            }
            $type = PictureType::of($bytes);
            $name = "{$this->folder}/" . substr($id, 0, 16) . ($type === PictureType::Png ? '.png' : '.jpg');
            $this->zip->text($this->within . $name, $bytes);
            $this->files[$id] = ['name' => $name, 'type' => $type];
        }

        return $this->files[$id]['name'];
    }
}
