<?php

declare(strict_types=1);

namespace Embrel\Fonts;

/** The fonts as their packages hold them. */
final readonly class PackagedFonts implements WebFonts
{
    public function __construct(private string $folder) {}

    /** Those that the styles of the pages use too. */
    public static function ofPackages(): self
    {
        return new self(\dirname(__DIR__, 2) . '/node_modules/@fontsource-variable');
    }

    public function file(string $family, bool $isExtended): ?string
    {
        $path = "{$this->folder}/{$family}/files/{$family}-latin" . ($isExtended ? '-ext' : '') . '-wght-normal.woff2';

        return is_file($path) ? (file_get_contents($path) ?: null) : null;
    }
}
