<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Draft\Choices;
use Embrel\Draft\MapChoices;
use Embrel\Fonts\Typefaces;
use Embrel\Layout\Map\Arrangement;
use Embrel\Layout\Map\Look;
use Embrel\Layout\Map\Palette;
use Embrel\Layout\Map\Style;
use Embrel\Plan\Picture;
use Embrel\Plan\Plan;
use Embrel\Writer\Format;
use Embrel\Writer\MapDrawing;
use Embrel\Writer\Raster\Canvas;
use Embrel\Writer\Raster\PixelPen;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;
use Tests\Core\Build\Package;
use Tests\Core\Build\Shelved;
use Tests\Core\Build\Trees;

/** The map as a picture made of pixels. */
final class RasterTest extends TestCase
{
    /** @var list<string> */
    private array $said = [];

    private function bytes(
        Plan $plan,
        Format $format = Format::Png,
        MapChoices $map = new MapChoices(scale: 1),
        ?Shelved $pictures = null,
    ): string {
        $out = fopen('php://temp', 'w+') ?: throw new \RuntimeException();
        $this->said = $format->writer()->write($plan, new Choices(pictures: $pictures, map: $map), $out, '');
        rewind($out);

        return (string) stream_get_contents($out);
    }

    private static function image(string $bytes): \GdImage
    {
        return imagecreatefromstring($bytes) ?: throw new \RuntimeException();
    }

    private static function colour(\GdImage $image, float $x, float $y): string
    {
        return \sprintf('#%06X', (int) imagecolorat($image, (int) $x, (int) $y) & 0xFFFFFF);
    }

    public function testItIsAsLargeAsItsDrawingOneToFourTimes(): void
    {
        $plan = Build::plan("Clay\n  Tide\n    Mud\nWall");
        [, , $width, $height] = (new MapDrawing($plan, new Choices()))->room();
        foreach ([1, 2, 3, 4] as $scale) {
            $size = getimagesizefromstring($this->bytes($plan, map: new MapChoices(scale: $scale))) ?: [0, 0];
            self::assertSame([(int) ceil($width * $scale), (int) ceil($height * $scale)], [$size[0], $size[1]]);
        }
        self::assertSame([], $this->said);
    }

    public function testEachTypeIsWhatItSays(): void
    {
        foreach ([[Format::Png, IMAGETYPE_PNG], [Format::Jpeg, IMAGETYPE_JPEG], [Format::Webp, IMAGETYPE_WEBP]] as [$format, $type]) {
            self::assertSame($type, (getimagesizefromstring($this->bytes(Build::plan("A\n  B"), $format)) ?: [2 => 0])[2]);
        }
    }

    public function testADiscHasTheColourOfItsSectionAndTheGroundIsWhiteOrNone(): void
    {
        $plan = Build::plan("Clay\n  Tide\nWall");
        $dye = $plan->topic(Build::id($plan, 'Clay'))->dye->value ?? 'slate';
        foreach (Arrangement::cases() as $arrangement) {
            $map = new MapChoices(new Look($arrangement), scale: 2);
            $drawing = new MapDrawing($plan, new Choices(map: $map));
            [$left, $top] = $drawing->room();
            [$from] = $drawing->picture->sections[0];
            [$x, $y] = $drawing->picture->geometry->point($from, $from);
            $image = self::image($this->bytes($plan, map: $map));
            // Beside its number.
            self::assertSame(Palette::dye($dye), self::colour($image, 2 * ($x - $left) - 20, 2 * ($y - $top)), $arrangement->value);
            self::assertSame('#FFFFFF', self::colour($image, 2, 2));
            $clear = self::image($this->bytes($plan, map: new MapChoices(new Look($arrangement), ground: false, scale: 2)));
            self::assertSame(127, imagecolorsforindex($clear, (int) imagecolorat($clear, 2, 2))['alpha']);
        }
    }

    public function testARingOfDashesIsOneOfDashes(): void
    {
        foreach ([[false, 0], [true, 16]] as [$isDashed, $changes]) {
            $pen = new PixelPen(0.0, 0.0, 4.0, Typefaces::shipped('en'));
            $pen->circle(10.0, 10.0, 5.2, Palette::SHEET, '#2F6690', 1.8, $isDashed);
            $image = (new Canvas(80, 80, Palette::SHEET))->paint($pen);
            $seen = 0;
            $was = null;
            foreach (range(0, 719) as $half) {
                $angle = deg2rad($half / 2);
                $is = self::colour($image, 40 + 20.8 * cos($angle), 40 + 20.8 * sin($angle)) === '#2F6690';
                $seen += $was !== null && $is !== $was ? 1 : 0;
                $was = $is;
            }
            self::assertEqualsWithDelta($changes, $seen, 2, $isDashed ? 'dashes' : 'a ring');
        }
    }

    public function testEveryStyleOfEveryArrangementIsDrawn(): void
    {
        $plan = Trees::random(9, 14);
        foreach (Style::cases() as $style) {
            $image = self::image($this->bytes($plan, map: new MapChoices(new Look(style: $style), scale: 1)));
            $colours = [];
            for ($x = 0; $x < imagesx($image); $x += 5) {
                for ($y = 0; $y < imagesy($image); $y += 5) {
                    $colours[self::colour($image, $x, $y)] = true;
                }
            }
            self::assertGreaterThan(20, \count($colours), $style->value);
        }
    }

    public function testPicturesOnTopicsAreInItAndSignsThatTheFontsLackAreCounted(): void
    {
        $bytes = Package::png(90, 60);
        // A sign that everybody may use for something else: no font has any for it.
        $plan = Build::plan("Clay\n  \u{F8F0}");
        $picture = Picture::of(hash('sha256', $bytes) . ':90x60@90');
        $plain = $this->bytes($plan);
        self::assertStringContainsString('(1) stand as question marks', implode($this->said));
        $with = $plan->with($plan->topic(Build::id($plan, 'Clay'))->with(['picture' => $picture]));
        self::assertGreaterThan(imagesy(self::image($plain)), imagesy(self::image($this->bytes($with, pictures: new Shelved([$bytes])))));
    }

    public function testAMapThatIsTooLargeBecomesSmallerAndSaysSo(): void
    {
        $outline = implode("\n", array_map(static fn(int $n): string => "Section {$n}\n  Part", range(1, 700)));
        $image = getimagesizefromstring($this->bytes(Build::plan($outline), Format::Webp, new MapChoices(scale: 4))) ?: [0, 0];
        self::assertLessThanOrEqual(16_383, $image[1]);
        self::assertStringContainsString('too large', implode($this->said));
    }
}
