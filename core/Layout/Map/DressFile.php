<?php

declare(strict_types=1);

namespace Embrel\Layout\Map;

use Embrel\MalformedShape;

/** A style of the map as a file, to be given to others: JSON, with the picture on its ground in it. */
final class DressFile
{
    /** How large one may be, in bytes. */
    public const MOST = 4_000_000;
    private const KIND = 'embrel-map-style';
    private const VERSION = 1;

    /** @param string|null $picture the bytes of the picture on its ground */
    public static function write(Dress $dress, ?string $picture): string
    {
        return json_encode(
            ['kind' => self::KIND, 'version' => self::VERSION, 'style' => ['picture' => ''] + $dress->toArray()]
                + ($picture === null ? [] : ['picture' => base64_encode($picture)]),
            JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR,
        );
    }

    /**
     * @return array{Dress, string|null} the style without its picture, and the bytes of that, which begin as PNG or JPEG
     *
     * @throws MalformedShape where it is no file of a style
     */
    public static function read(string $file): array
    {
        $all = \strlen($file) <= self::MOST ? json_decode($file, true, 8) : null;
        if (!\is_array($all) || ($all['kind'] ?? null) !== self::KIND || !\is_array($all['style'] ?? null)) {
            throw new MalformedShape('This is not the file of a map style.');
        }
        if (($all['version'] ?? null) !== self::VERSION) {
            throw new MalformedShape('This map style was made by a later Embrel, which knows more of styles than this one.');
        }
        $picture = $all['picture'] ?? '';
        $bytes = \is_string($picture) ? base64_decode($picture, true) : false;
        $size = $bytes === false || $bytes === '' ? false : @getimagesizefromstring($bytes);
        if ($picture !== '' && !\in_array($size[2] ?? 0, [\IMAGETYPE_PNG, \IMAGETYPE_JPEG], true)) {
            throw new MalformedShape('The picture in this map style cannot be read.');
        }

        return [Dress::of(['picture' => ''] + $all['style']), $bytes === false || $bytes === '' ? null : $bytes];
    }
}
