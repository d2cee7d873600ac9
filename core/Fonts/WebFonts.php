<?php

declare(strict_types=1);

namespace Embrel\Fonts;

/** Where the shipped fonts are had from. */
interface WebFonts
{
    /**
     * @param string $family     of the package, such as literata
     * @param bool   $isExtended the part of extended Latin instead of that of Latin
     *
     * @return string|null the bytes of a WOFF2 file; null where it is not at hand
     */
    public function file(string $family, bool $isExtended): ?string;
}
