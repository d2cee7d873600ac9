<?php

declare(strict_types=1);

namespace Embrel\Reader\Odt;

use Embrel\Archive\BadPackage;
use Embrel\Archive\Package;
use Embrel\Archive\Shelf;
use Embrel\Document\Reading;
use Embrel\Limits;
use Embrel\Reader\PicturePlace;
use Embrel\RichText\Node;

/** The pictures of a package, each kept once. */
final class OdtPictures
{
    /** Units in pixels, 96 to the inch. */
    private const PIXELS = [
        'in' => 96.0,
        'inch' => 96.0,
        'cm' => 37.7952756,
        'mm' => 3.77952756,
        'pt' => 1.33333333,
        'pc' => 16.0,
        'px' => 1.0,
    ];

    /** @var array<string, string> part → id on the shelf */
    private array $kept = [];

    public function __construct(private readonly Package $package, private readonly Shelf $shelf, private readonly Reading $reading) {}

    /**
     * @param string               $target a part of the package, or an address on the web
     * @param int                  $width  in pixels; 0: in its own size
     * @param array<string, mixed> $attrs  alternative text, link
     */
    public function at(string $target, int $width, array $attrs): ?Node
    {
        return str_contains($target, '://')
            ? PicturePlace::onTheWeb($target, $attrs, $this->reading)
            : PicturePlace::of($this->keep($target), $width, $attrs, $this->shelf, $this->reading);
    }

    private function keep(string $part): string
    {
        $part = preg_replace('/\A\.\//', '', $part) ?? $part;
        if (!isset($this->kept[$part])) {
            try {
                $this->kept[$part] = $this->package->has($part)
                    ? (string) $this->shelf->keep($this->package->pieces($part, Limits::PACKAGE_PART))
                    : '';
            } catch (BadPackage) {
                $this->kept[$part] = '';
            }
        }

        return $this->kept[$part];
    }

    /** A length of a drawing in pixels; 0 where it is none. */
    public static function pixels(string $length): int
    {
        return preg_match('/\A([\d.]+)([a-z]+)\z/', $length, $m) === 1 ? (int) round((float) $m[1] * (self::PIXELS[$m[2]] ?? 0.0)) : 0;
    }
}
