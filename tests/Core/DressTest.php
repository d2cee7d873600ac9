<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Draft\Choices;
use Embrel\Draft\MapChoices;
use Embrel\Layout\Map\Arrangement;
use Embrel\Layout\Map\Dress;
use Embrel\Layout\Map\DressFile;
use Embrel\Layout\Map\Form;
use Embrel\Layout\Map\Inks;
use Embrel\Layout\Map\Lettering;
use Embrel\Layout\Map\Look;
use Embrel\Layout\Map\Palette;
use Embrel\Layout\Map\Paper;
use Embrel\Layout\Map\Picture;
use Embrel\Layout\Map\Stalk;
use Embrel\Layout\Map\Style;
use Embrel\MalformedShape;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Dye;
use Embrel\Plan\Plan;
use Embrel\Plan\WordTotals;
use Embrel\Writer\Format;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;
use Tests\Core\Build\Package;
use Tests\Core\Build\Trees;

/** Styles of the map of one's own: what they say, what can be read on any ground, and that it is what is drawn. */
final class DressTest extends TestCase
{
    private const OWN = [
        'name' => 'Night shift',
        'stalk' => 'angled',
        'lines' => [4.0, 2.0, 0.5],
        'sizes' => [24.0, 12.0, 9.0],
        'room' => 0.3,
        'tints' => true,
        'forms' => ['filled', 'framed', 'underlined'],
        'dyes' => ['', 'slate', '#c0ffee'],
        'lettering' => 'serif',
        'ground' => '#13202e',
        'paper' => 'squared',
        'picture' => '',
    ];

    private static function dress(int $seed): Dress
    {
        mt_srand($seed);
        $of = static fn(array $cases): mixed => $cases[mt_rand(0, \count($cases) - 1)];
        $three = static fn(\Closure $one): array => [$one(), $one(), $one()];

        return new Dress(
            "Style {$seed}",
            $of(Stalk::cases()),
            $three(static fn(): float => mt_rand(5, 80) / 10),
            $three(static fn(): float => mt_rand(18, 96) / 2),
            mt_rand(6, 50) / 20,
            mt_rand(0, 1) === 1,
            $three(static fn(): Form => $of(Form::cases())),
            $three(static fn(): string => $of(['', 'weld', '#ffffff', '#101010'])),
            $of(Lettering::cases()),
            $of(['', '#ffffff', '#000000', \sprintf('#%06x', mt_rand(0, 0xFFFFFF))]),
            $of(Paper::cases()),
        );
    }

    public function testAStyleSaysWhatWasGivenAndOursSayWhatTheyAre(): void
    {
        self::assertSame(self::OWN, Dress::of(self::OWN)->toArray());
        foreach (Style::cases() as $style) {
            self::assertEquals($style->dress(), Dress::of($style->dress()->toArray()));
        }
        self::assertEquals((new Dress('Mine'))->toArray(), Dress::of(['name' => "  Mine\n"])->toArray(), 'What is missing is as usual.');
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function malformed(): iterable
    {
        yield 'another setting' => [['colour' => 'red']];
        yield 'a word as size' => [['sizes' => [16, 'large', 14]]];
        yield 'two levels' => [['lines' => [1, 2]]];
        yield 'levels with names' => [['sizes' => ['a' => 16, 'b' => 15, 'c' => 14]]];
        yield 'type that nobody can see' => [['sizes' => [16, 15, 1]]];
        yield 'no number' => [['room' => NAN]];
        yield 'no room' => [['room' => 0]];
        yield 'a form that there is not' => [['forms' => ['plain', 'plain', 'starry']]];
        yield 'a script as colour' => [['ground' => 'url(javascript:alert(1))']];
        yield 'a dye as ground' => [['ground' => 'madder']];
        yield 'a number as colour' => [['dyes' => ['', '', 7]]];
        yield 'a path as picture' => [['picture' => '../../etc/passwd']];
        yield 'no text' => [['name' => "\xFF"]];
        yield 'yes instead of true' => [['tints' => 'yes']];
    }

    /** @param array<string, mixed> $given */
    #[DataProvider('malformed')]
    public function testWhatIsNoStyleIsRefused(array $given): void
    {
        $this->expectException(MalformedShape::class);
        Dress::of($given);
    }

    public function testAFileGivesTheStyleAndItsPictureToSomebodyElse(): void
    {
        $picture = Package::png(40, 30);
        $own = Dress::of(['picture' => hash('sha256', $picture)] + self::OWN);
        [$read, $bytes] = DressFile::read(DressFile::write($own, $picture));
        self::assertSame(self::OWN, $read->toArray(), 'Whoever takes it in keeps its picture under a name of their own.');
        self::assertSame($picture, $bytes);
        self::assertNull(DressFile::read(DressFile::write($own, null))[1]);
    }

    public function testAFileThatIsNoneIsRefusedInWords(): void
    {
        $whole = DressFile::write(Dress::of(self::OWN), null);
        $with = static fn(array $change): string => json_encode($change + json_decode($whole, true), JSON_THROW_ON_ERROR);
        $files = [
            '' => 'not the file',
            'a style' => 'not the file',
            '[]' => 'not the file',
            $with(['kind' => 'poem']) => 'not the file',
            $with(['style' => 'dark']) => 'not the file',
            str_repeat('[', 100) => 'not the file',
            $with(['version' => 2]) => 'later Embrel',
            $with(['picture' => base64_encode('<svg onload="x()"/>')]) => 'cannot be read',
            $with(['picture' => ['a']]) => 'cannot be read',
            $with(['style' => ['room' => 9]]) => 'a number from 0.3 to 2.5',
        ];
        foreach ($files as $file => $says) {
            try {
                DressFile::read((string) $file);
                self::fail("Taken: {$file}");
            } catch (MalformedShape $why) {
                self::assertStringContainsString($says, $why->getMessage());
            }
        }
    }

    /** WCAG 2.2, 1.4.3: text stands out by 4.5 to 1 from what is behind it. */
    public function testOnAnyGroundAllThatIsWrittenCanBeRead(): void
    {
        mt_srand(1);
        $contrast = static fn(string $one, string $other): float => Dye::of(strtolower($one))->contrast($other);
        for ($i = 0; $i < 400; ++$i) {
            $ground = [\sprintf('#%06x', mt_rand(0, 0xFFFFFF)), '#777777', '#767676', '#ff0000', '#00ff00'][$i % 5];
            $inks = new Inks($ground);
            $dyes = [...array_keys(Palette::DYES), '#ffffff', '#000000', \sprintf('#%06x', mt_rand(0, 0xFFFFFF))];
            foreach ([$inks->ink, $inks->soft, $inks->faint, ...array_map($inks->dye(...), $dyes)] as $ink) {
                self::assertGreaterThanOrEqual(4.5, $contrast($ink, $ground), "{$ink} on {$ground}");
            }
            foreach ($inks->properties() as $name => $value) {
                self::assertMatchesRegularExpression('/\A#[0-9A-Fa-f]{6}\z/', $value, $name);
            }
        }
        $usual = new Inks();
        self::assertSame(
            [Palette::INK, Palette::SOFT, Palette::FAINT, Palette::DYES['woad'], Palette::tint('woad'), []],
            [$usual->ink, $usual->soft, $usual->faint, $usual->dye('woad'), $usual->tint('woad'), $usual->properties()],
            'Without a ground of its own a map is as it was.',
        );
    }

    public function testInNoStyleDoLabelsMeet(): void
    {
        for ($seed = 1; $seed <= 240; ++$seed) {
            $plan = Trees::random($seed, 30);
            $look = (new Look(Arrangement::cases()[$seed % 3], wrap: 120 + ($seed % 5) * 100))->dressed(self::dress($seed));
            $picture = Picture::of($plan, Numbering::of($plan), WordTotals::of($plan), $look);
            $boxes = [];
            foreach ($picture->sections as [$from, $to]) {
                for ($i = $from; $i < $to; ++$i) {
                    $boxes[] = $picture->corners($i, $from);
                }
            }
            foreach ($boxes as $i => $one) {
                for ($j = 0; $j < $i; ++$j) {
                    self::assertFalse(self::meet($one, $boxes[$j]), "seed {$seed}: {$i} and {$j}");
                }
            }
        }
    }

    /**
     * Whether two rectangles that stand upright, or mirrored, meet.
     *
     * @param non-empty-list<array{float, float}> $one
     * @param non-empty-list<array{float, float}> $other
     */
    private static function meet(array $one, array $other): bool
    {
        $within = static fn(int $axis): bool => max(array_column($one, $axis)) > min(array_column($other, $axis)) + 0.01
            && max(array_column($other, $axis)) > min(array_column($one, $axis)) + 0.01;

        return $within(0) && $within(1);
    }

    public function testADyeOfALevelIsInTheDrawingAndInheritedByNobody(): void
    {
        $plan = Build::plan("One\n  Part\n    Below\nTwo");
        $dyes = static fn(Look $look): array => array_column(
            Picture::of($plan, Numbering::of($plan), WordTotals::of($plan), $look)->labels,
            'dye',
        );
        [$one, , , $two] = $dyes(new Look());
        $look = (new Look())->dressed(new Dress('', dyes: ['', 'slate', '']));
        self::assertSame([$one, 'slate', $one, $two], $dyes($look));
        $look = (new Look())->dressed(new Dress('', dyes: ['#ffffff', '', ''], ground: '#ffffff'));
        self::assertNotSame('#ffffff', $dyes($look)[0], 'White on white is darker.');
    }

    public function testItIsDrawnInEveryFormat(): void
    {
        $plan = Build::plan("Clay\n  Tide\n    Mud\nWall");
        $own = Dress::of(self::OWN);
        $choices = new Choices(map: new MapChoices((new Look())->dressed($own), scale: 1, back: Package::png(40, 30)));
        $svg = self::written($plan, Format::Svg, $choices);
        $inks = $own->inks();
        self::assertStringContainsString("fill=\"{$inks->sheet}\"", $svg);
        self::assertStringContainsString($inks->dye('#c0ffee'), $svg);
        self::assertStringContainsString('preserveAspectRatio="xMidYMid slice"', $svg);
        self::assertStringContainsString('class="r s"', $svg);
        self::assertStringNotContainsString(Palette::INK, $svg);
        $pdf = self::written($plan, Format::MapPdf, $choices);
        self::assertStringStartsWith('%PDF', $pdf);
        $image = imagecreatefromstring(self::written($plan, Format::Png, $choices)) ?: self::fail('No picture.');
        $plain = imagecreatefromstring(self::written(
            $plan,
            Format::Png,
            new Choices(map: new MapChoices((new Look())->dressed(Dress::of(['paper' => 'plain'] + self::OWN)), scale: 1)),
        )) ?: self::fail('No picture.');
        $corner = static fn(\GdImage $of): string => \sprintf('#%06x', (int) imagecolorat($of, 3, 3) & 0xFFFFFF);
        self::assertSame('#13202e', $corner($plain));
        self::assertNotSame('#13202e', $corner($image), 'The picture covers the ground.');
    }

    private static function written(Plan $plan, Format $format, Choices $choices): string
    {
        $out = fopen('php://temp', 'w+') ?: self::fail('No room.');
        self::assertSame([], $format->writer()->write($plan, $choices, $out, sys_get_temp_dir()));
        rewind($out);

        return (string) stream_get_contents($out);
    }
}
