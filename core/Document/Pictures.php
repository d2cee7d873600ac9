<?php

declare(strict_types=1);

namespace Embrel\Document;

/** Where the pictures of a plan are had from. */
interface Pictures
{
    /** @return string|null the bytes of a PNG or JPEG file; null where there is no such picture */
    public function bytes(string $id): ?string;
}
