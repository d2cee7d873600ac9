<?php

declare(strict_types=1);

namespace App\Pages;

/** A picture that a service has, with who made it and what may be done with it. */
final readonly class FoundPicture
{
    /**
     * @param string $id   by which the service knows it
     * @param string $page where it can be seen with all that is said of it; empty: nowhere
     */
    public function __construct(
        public string $id,
        public string $title,
        public string $author,
        public string $licence,
        public string $page,
        public int $width,
        public int $height,
    ) {}
}
