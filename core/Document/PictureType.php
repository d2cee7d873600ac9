<?php

declare(strict_types=1);

namespace Embrel\Document;

/** What a picture's file is: pictures are kept as one of these two alone. */
enum PictureType: string
{
    case Png = 'png';
    case Jpeg = 'jpeg';

    public static function of(string $bytes): self
    {
        return str_starts_with($bytes, "\x89PNG") ? self::Png : self::Jpeg;
    }

    public function mediaType(): string
    {
        return "image/{$this->value}";
    }
}
