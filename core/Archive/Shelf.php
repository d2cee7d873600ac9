<?php

declare(strict_types=1);

namespace Embrel\Archive;

use Embrel\Document\Pictures;
use Embrel\Limits;

/** The pictures of a document that is being read, in a work folder, each under the SHA-256 of its file. */
final class Shelf implements Pictures
{
    private const TYPES = [\IMAGETYPE_PNG, \IMAGETYPE_JPEG, \IMAGETYPE_GIF, \IMAGETYPE_WEBP];

    /** @var array<string, array{int, int}> id → width and height in pixels */
    private array $sizes = [];

    public function __construct(private readonly string $folder) {}

    /**
     * @param iterable<string> $pieces of the file
     *
     * @return string|null its id; null where it is no picture that can be kept
     */
    public function keep(iterable $pieces): ?string
    {
        $path = "{$this->folder}/picture.part";
        $out = fopen($path, 'w') ?: throw new \RuntimeException('A picture could not be put into the work folder.');
        $hash = hash_init('sha256');
        $bytes = 0;
        foreach ($pieces as $piece) {
            $bytes += \strlen($piece);
            if ($bytes <= Limits::PICTURE) {
                hash_update($hash, $piece);
                fwrite($out, $piece);
            }
        }
        fclose($out);
        $size = $bytes > Limits::PICTURE || $bytes === 0 ? false : @getimagesize($path);
        if (
            $size === false
            || !\in_array($size[2], self::TYPES, true)
            || $size[0] < 1
            || $size[1] < 1
            || $size[0] * $size[1] > Limits::PICTURE_PIXELS
        ) {
            unlink($path);

            return null;
        }
        $id = hash_final($hash);
        rename($path, "{$this->folder}/{$id}");
        $this->sizes[$id] = [$size[0], $size[1]];

        return $id;
    }

    /** @return list<string> */
    public function ids(): array
    {
        return array_map(strval(...), array_keys($this->sizes));
    }

    /** @return array{int, int}|null */
    public function size(string $id): ?array
    {
        return $this->sizes[$id] ?? null;
    }

    /** The bytes of a PNG or JPEG; null for another kind. */
    public function bytes(string $id): ?string
    {
        $bytes = $this->file($id);

        return $bytes !== null && (str_starts_with($bytes, "\x89PNG") || str_starts_with($bytes, "\xFF\xD8")) ? $bytes : null;
    }

    /** The bytes of a picture of any kind that was kept. */
    public function file(string $id): ?string
    {
        return isset($this->sizes[$id]) ? (file_get_contents("{$this->folder}/{$id}") ?: null) : null;
    }
}
