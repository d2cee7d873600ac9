<?php

declare(strict_types=1);

namespace Embrel\Writer\Raster;

use Embrel\Draft\Choices;
use Embrel\Fonts\Typefaces;
use Embrel\Plan\Plan;
use Embrel\Writer\MapDrawing;
use Embrel\Writer\Writer;

/** The map as a picture made of pixels: PNG, JPEG or WebP, at once to four times as large. */
final readonly class RasterWriter implements Writer
{
    /** Pixels that a picture may have, so that it finds room in memory, and along a side. */
    private const MOST = 32_000_000;
    private const SIDE = ['png' => 100_000, 'jpeg' => 65_000, 'webp' => 16_000];
    private const QUALITY = 88;
    private const TOO_LARGE = 'The map is too large for a picture of that size: it is %.2F times as large instead of %d.';

    /** @param string $type png, jpeg or webp */
    public function __construct(private string $type) {}

    public function write(Plan $plan, Choices $choices, $out, string $work): array
    {
        $drawing = new MapDrawing($plan, $choices);
        [$left, $top, $width, $height] = $drawing->room();
        $wanted = (float) max(1, min(4, $choices->map->scale));
        $side = self::SIDE[$this->type] ?? 16_000;
        $scale = min($wanted, $side / $width, $side / $height, sqrt(self::MOST / ($width * $height)));
        $faces = Typefaces::shipped($plan->properties->language);
        $pen = $faces->shaping->settled(static function () use ($drawing, $left, $top, $scale, $faces): PixelPen {
            $pen = new PixelPen($left, $top, $scale, $faces);
            $drawing->with($pen);

            return $pen;
        });
        // A JPEG cannot be seen through.
        $ground = $choices->map->ground || $this->type === 'jpeg' ? $drawing->inks->sheet : null;
        $image = (new Canvas((int) ceil($width * $scale), (int) ceil($height * $scale), $ground))->paint($pen);
        match ($this->type) {
            'jpeg' => imagejpeg($image, $out, self::QUALITY),
            'webp' => imagewebp($image, $out, self::QUALITY),
            default => imagepng($image, $out, 6),
        };

        return array_values(array_filter([
            $scale < $wanted - 0.01 ? \sprintf(self::TOO_LARGE, $scale, $wanted) : '',
            $pen->lost === 0 ? '' : "Signs that the fonts of the map do not hold ({$pen->lost}) stand as question marks. SVG shows them.",
            ...$pen->lost === 0 ? [] : $faces->shaping->said(),
        ]));
    }
}
