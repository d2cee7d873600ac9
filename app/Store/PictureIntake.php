<?php

declare(strict_types=1);

namespace App\Store;

use Embrel\Document\PictureType;
use Embrel\Limits;
use Embrel\Plan\Picture;

/**
 * A picture on its way in: read, turned as its camera held it, and written anew, so that nothing
 * comes in with it but what can be seen.
 */
final class PictureIntake
{
    private const TYPES = [\IMAGETYPE_PNG => 'png', \IMAGETYPE_JPEG => 'jpeg', \IMAGETYPE_WEBP => 'webp', \IMAGETYPE_GIF => 'gif'];

    /** @param list<string> $said what was left out, a sentence each */
    private function __construct(
        public readonly string $bytes,
        public readonly string $type,
        public readonly int $width,
        public readonly int $height,
        public readonly array $said,
    ) {}

    /** @throws \DomainException with a sentence for the person */
    public static function of(string $bytes): self
    {
        if (\strlen($bytes) > Limits::PICTURE) {
            throw new \DomainException('A picture may have 10 MB at most. Save it smaller, or as JPEG, and try again.');
        }
        $size = @getimagesizefromstring($bytes);
        $type = $size === false ? null : self::TYPES[$size[2]] ?? null;
        if ($size === false || $type === null) {
            throw new \DomainException(
                preg_match('/\A\s*(?:<\?xml[^>]*>\s*)?(?:<!--.*?-->\s*)*(?:<!DOCTYPE[^>]*>\s*)?<svg\b/is', substr($bytes, 0, 4096)) === 1
                    ? 'An SVG file is a small program as much as a picture, so it is not taken. Save it as PNG.'
                    : 'This is not a picture that can be taken: PNG, JPEG, WebP and GIF are.',
            );
        }
        if ($size[0] * $size[1] > Limits::PICTURE_PIXELS) {
            throw new \DomainException(
                \sprintf(
                    'This picture has %s by %s pixels; 24 million in all can be taken. Save it smaller and try again.',
                    number_format($size[0]),
                    number_format($size[1]),
                ),
            );
        }
        if (max($size[0], $size[1]) > Limits::PICTURE_SIDE) {
            throw new \DomainException(
                \sprintf(
                    'This picture is %s by %s pixels; neither side may have more than %s. Cut it and try again.',
                    number_format($size[0]),
                    number_format($size[1]),
                    number_format(Limits::PICTURE_SIDE),
                ),
            );
        }
        $image = @imagecreatefromstring($bytes);
        if ($image === false) {
            throw new \DomainException('The file is damaged: it begins like a picture and does not go on like one.');
        }

        return self::written(
            self::upright($image, $type === 'jpeg' ? $bytes : ''),
            $type,
            self::isMoving($bytes, $type) ? ['It moves; its first picture was taken.'] : [],
        );
    }

    /** Turned as the camera was held (Exif orientation, 1 to 8). */
    private static function upright(\GdImage $image, string $jpeg): \GdImage
    {
        $data = $jpeg === '' ? false : @exif_read_data('data://image/jpeg;base64,' . base64_encode($jpeg));
        $orientation = \is_array($data) && is_numeric($data['Orientation'] ?? null) ? (int) $data['Orientation'] : 1;
        if (\in_array($orientation, [2, 4, 5, 7], true)) {
            imageflip($image, $orientation === 4 ? \IMG_FLIP_VERTICAL : \IMG_FLIP_HORIZONTAL);
        }
        $turn = [3 => 180, 5 => 90, 6 => 270, 7 => 270, 8 => 90][$orientation] ?? 0;

        return $turn === 0 ? $image : (imagerotate($image, $turn, 0) ?: $image);
    }

    /** @param list<string> $said */
    private static function written(\GdImage $image, string $type, array $said): self
    {
        $bytes = $type === 'jpeg' ? self::jpeg($image) : self::png($image);
        if (\strlen($bytes) > Limits::PICTURE) {
            $bytes = self::jpeg($image);
        }

        return new self($bytes, PictureType::of($bytes)->mediaType(), imagesx($image), imagesy($image), $said);
    }

    /** As good as fits the limit. */
    private static function jpeg(\GdImage $image): string
    {
        for ($quality = 90; $quality >= 10; $quality -= 10) {
            ob_start();
            imagejpeg($image, null, $quality);
            $bytes = (string) ob_get_clean();
            if (\strlen($bytes) <= Limits::PICTURE) {
                return $bytes;
            }
        }

        throw new \DomainException('This picture has more in it than 10 MB can hold. Save it smaller and try again.');
    }

    /** With what is see-through in it. */
    private static function png(\GdImage $image): string
    {
        imagepalettetotruecolor($image);
        imagealphablending($image, false);
        imagesavealpha($image, true);
        ob_start();
        imagepng($image, null, 8);

        return (string) ob_get_clean();
    }

    /** GIF with more than one image, animated WebP, APNG. */
    private static function isMoving(string $bytes, string $type): bool
    {
        return match ($type) {
            'gif' => preg_match_all('/\x00\x21\xF9\x04.{4}\x00[\x2C\x21]/s', $bytes) > 1,
            'webp' => str_contains(substr($bytes, 0, 64), 'ANIM'),
            'png' => str_contains(substr($bytes, 0, 1024), 'acTL'),
            default => false,
        };
    }

    /** As a topic carries it, no wider than is handy. */
    public function picture(): Picture
    {
        return Picture::of(
            hash('sha256', $this->bytes) . ":{$this->width}x{$this->height}@" . max(Picture::NARROWEST, min(240, $this->width)),
        );
    }
}
