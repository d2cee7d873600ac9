<?php

declare(strict_types=1);

namespace App\Store;

/** What kind of file somebody sent: by what is in it, whatever it is called. */
final readonly class FileType
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

    /** @param string $media its media type */
    private function __construct(public string $media, public string $extension) {}

    /** @throws \DomainException with a sentence for the person, where it is of none that is taken */
    public static function of(string $path): self
    {
        $media = self::media($path);

        return new self($media, self::TYPES[$media] ?? throw new \DomainException(
            'This kind of file is not taken: PDF, pictures (PNG, JPEG, WebP, GIF), sounds (MP3, Ogg, WAV, FLAC, M4A, WebM), films (MP4, WebM, Ogg, '
                . 'MOV) and plain text are.',
        ));
    }

    /** The media type by what is in a file; of one that could be either, whether there are pictures in it. */
    private static function media(string $path): string
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
}
