<?php

declare(strict_types=1);

namespace Embrel\Writer\Raster;

use Embrel\Fonts\Shipped;

/** Paints what a pen took down. Edges are smooth: forms are painted twice as large, in bands, and made smaller. */
final class Canvas
{
    /** How high a band is, in pixels of the picture. */
    private const BAND = 192;
    private const FINE = 2;

    private readonly \GdImage $image;

    public function __construct(private readonly int $width, private readonly int $height, private readonly ?string $ground)
    {
        $this->image = self::made($width, $height);
        $this->clear($this->image, $ground);
    }

    private static function made(int $width, int $height): \GdImage
    {
        return imagecreatetruecolor(max(1, $width), max(1, $height)) ?: throw new \RuntimeException('There is no room for the picture.');
    }

    private function clear(\GdImage $image, ?string $ground): void
    {
        imagealphablending($image, false);
        $colour = $ground === null ? imagecolorallocatealpha($image, 255, 255, 255, 127) : self::colour($image, $ground);
        imagefilledrectangle($image, 0, 0, imagesx($image), imagesy($image), (int) $colour);
        imagealphablending($image, true);
        imagesavealpha($image, true);
    }

    private static function colour(\GdImage $image, string $colour, float $opacity = 1.0): int
    {
        $part = static fn(int $at): int => max(0, min(255, (int) hexdec(substr($colour, $at, 2))));
        $alpha = max(0, min(127, (int) round(127 * (1 - $opacity))));

        return (int) imagecolorallocatealpha($image, $part(1), $part(3), $part(5), $alpha);
    }

    public function paint(PixelPen $pen): \GdImage
    {
        $pen->backdrop === null ? null : $this->backdrop($pen->backdrop);
        $bands = [];
        foreach ($pen->forms as $i => $form) {
            for ($band = max(0, intdiv((int) $form['top'], self::BAND)); $band * self::BAND < min($this->height, $form['bottom'] + 1); ++$band) {
                $bands[$band][] = $i;
            }
        }
        foreach ($bands as $band => $forms) {
            $this->band($band * self::BAND, array_map(static fn(int $i): array => $pen->forms[$i], $forms), $pen->backdrop !== null);
        }
        foreach ($pen->images as $picture) {
            $this->picture($picture);
        }
        foreach ($pen->texts as $text) {
            $path = $text['font'][0] === '/' ? $text['font'] : Shipped::path($text['font']);
            if ($path !== null) {
                // Sizes are points at 96 to the inch.
                imagettftext(
                    $this->image,
                    $text['size'] * 0.75,
                    0.0,
                    (int) round($text['x']),
                    (int) round($text['y']),
                    self::colour($this->image, $text['colour']),
                    $path,
                    $text['text'],
                );
            }
        }

        return $this->image;
    }

    /** @param list<array{points: list<float>, colour: string, top: float, bottom: float, left: float, right: float, opacity: float}> $forms */
    private function band(int $top, array $forms, bool $isOver): void
    {
        $left = (int) max(0, floor(min([$this->width, ...array_column($forms, 'left')])) - 1);
        $right = (int) min($this->width, ceil(max([0, ...array_column($forms, 'right')])) + 1);
        $height = min(self::BAND, $this->height - $top);
        if ($right <= $left || $height <= 0) {
            return;
        }
        $fine = self::made(($right - $left) * self::FINE, $height * self::FINE);
        $this->clear($fine, $isOver ? null : $this->ground);
        foreach ($forms as $form) {
            $points = [];
            foreach ($form['points'] as $i => $at) {
                $points[] = (int) round(($at - ($i % 2 === 0 ? $left : $top)) * self::FINE);
            }
            imagefilledpolygon($fine, $points, self::colour($fine, $form['colour'], $form['opacity']));
        }
        imagealphablending($this->image, $isOver);
        imagecopyresampled(
            $this->image,
            $fine,
            $left,
            $top,
            0,
            0,
            $right - $left,
            $height,
            ($right - $left) * self::FINE,
            $height * self::FINE,
        );
        imagealphablending($this->image, true);
    }

    /** As large as covers everything, its middle in the middle. */
    private function backdrop(string $bytes): void
    {
        $image = @imagecreatefromstring($bytes);
        if ($image !== false) {
            [$width, $height] = [imagesx($image), imagesy($image)];
            $scale = max($this->width / $width, $this->height / $height);
            [$wide, $high] = [max(1, (int) round($this->width / $scale)), max(1, (int) round($this->height / $scale))];
            [$x, $y] = [intdiv($width - $wide, 2), intdiv($height - $high, 2)];
            imagecopyresampled($this->image, $image, 0, 0, $x, $y, $this->width, $this->height, $wide, $high);
        }
    }

    /** @param array{bytes: string, x: float, y: float, width: float, height: float} $picture */
    private function picture(array $picture): void
    {
        $image = @imagecreatefromstring($picture['bytes']);
        if ($image !== false) {
            imagecopyresampled(
                $this->image,
                $image,
                (int) round($picture['x']),
                (int) round($picture['y']),
                0,
                0,
                max(1, (int) round($picture['width'])),
                max(1, (int) round($picture['height'])),
                imagesx($image),
                imagesy($image),
            );
        }
    }
}
