<?php

declare(strict_types=1);

namespace Embrel\Writer;

use Embrel\Document\Pictures;
use Embrel\Document\PictureType;

/** The pictures of a plan, and the one that a template has in its head or foot. */
final readonly class WithLogo implements Pictures
{
    public function __construct(private string $id, private string $logo, private ?Pictures $others) {}

    public function bytes(string $id): ?string
    {
        return $id === $this->id ? $this->logo : $this->others?->bytes($id);
    }

    /** Of the logo as a `data:` address, for a page that is shown; null for another picture. */
    public function address(string $id): ?string
    {
        return $id === $this->id ? 'data:' . PictureType::of($this->logo)->mediaType() . ';base64,' . base64_encode($this->logo) : null;
    }
}
