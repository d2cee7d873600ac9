<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Draft\Choices;
use Embrel\Draft\MapChoices;
use Embrel\Fonts\WebFonts;
use Embrel\Layout\Map\Arrangement;
use Embrel\Layout\Map\Look;
use Embrel\Layout\Map\Palette;
use Embrel\Layout\Map\Sheets;
use Embrel\Layout\Map\Style;
use Embrel\Plan\Plan;
use Embrel\Writer\Format;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;
use Tests\Core\Build\Trees;

/** The map as a file: whole, in order, readable by others, and with nothing in it that runs or is fetched. */
final class SvgTest extends TestCase
{
    private static function svg(Plan $plan, Choices $choices = new Choices(), ?WebFonts $fonts = null): string
    {
        $out = Build::stream('');
        Format::Svg->writer($fonts)->write($plan, $choices, $out, '');
        rewind($out);

        return (string) stream_get_contents($out);
    }

    private static function xml(string $svg): \SimpleXMLElement
    {
        $xml = simplexml_load_string($svg);
        self::assertInstanceOf(\SimpleXMLElement::class, $xml);
        $xml->registerXPathNamespace('s', 'http://www.w3.org/2000/svg');

        return $xml;
    }

    public function testEveryTitleIsInItInReadingOrder(): void
    {
        $plan = Build::plan("Why\n  Storms & floods\n  <Fish>\nBefore\n  Grazing\n    Samphire");
        foreach (Arrangement::cases() as $arrangement) {
            $texts = array_map(strval(...), self::xml(self::svg($plan, new Choices(
                map: new MapChoices(look: new Look($arrangement)),
            )))->xpath('//s:text') ?: []);
            self::assertSame(
                ['Why', 'Storms & floods', '<Fish>', 'Before', 'Grazing', 'Samphire'],
                array_values(array_intersect($texts, ['Why', 'Storms & floods', '<Fish>', 'Before', 'Grazing', 'Samphire'])),
            );
            self::assertContains('2.1.1', $texts);
        }
    }

    public function testItHasATitleADescriptionAndNothingThatRunsOrIsFetched(): void
    {
        for ($seed = 1; $seed <= 60; ++$seed) {
            $svg = self::svg(Trees::random($seed), new Choices(
                map: new MapChoices(look: new Look(Arrangement::cases()[$seed % 3], Style::cases()[$seed % 5])),
            ));
            $xml = self::xml($svg);
            self::assertNotSame('', (string) $xml->title);
            self::assertStringContainsString('A map of', (string) $xml->desc);
            self::assertSame([], $xml->xpath('//s:script | //s:foreignObject | //s:image | //s:a | //@*[starts-with(name(), "on")]') ?: []);
            self::assertDoesNotMatchRegularExpression(
                '/href|url\((?!data:)|javascript:|@import/i',
                (string) preg_replace('/>[^<]*</', '><', $svg),
            );
            [$left, $top, $width, $height] = array_map(floatval(...), explode(' ', (string) $xml['viewBox']));
            self::assertGreaterThan(0, $width * $height);
            self::assertLessThanOrEqual(0, max($left, $top));
        }
    }

    public function testFontsAreEmbeddedWhenAskedForAndSaidToBeMissingWhereTheyAreNotAtHand(): void
    {
        $plan = Build::plan('A');
        $fonts = new class implements WebFonts {
            public function file(string $family, bool $isExtended): ?string
            {
                return "font of {$family}";
            }
        };
        self::assertStringNotContainsString('@font-face', self::svg($plan, new Choices(), $fonts));
        $svg = self::svg($plan, new Choices(map: new MapChoices(embedsFonts: true)), $fonts);
        self::assertSame(4, substr_count($svg, '@font-face'));
        self::assertStringContainsString(base64_encode('font of literata'), $svg);
        self::assertNotSame([], Format::Svg->writer()->write($plan, new Choices(
            map: new MapChoices(embedsFonts: true),
        ), Build::stream(''), ''));
    }

    public function testABranchFoldsGroundAndStyleAreAsChosen(): void
    {
        $plan = Build::plan("Why\n  Storms\nBefore\n  Grazing\n    Samphire");
        $branch = self::svg($plan, new Choices(from: Build::id($plan, 'Before')));
        self::assertStringContainsString('2 Before', $branch);
        self::assertStringNotContainsString('Storms', $branch);
        $folded = self::svg($plan, new Choices(map: new MapChoices(folded: [Build::id($plan, 'Before')])));
        self::assertStringNotContainsString('Samphire', $folded);
        self::assertStringContainsString('>2</text>', $folded);
        self::assertStringContainsString('fill="#FFFFFF"', self::svg($plan));
        self::assertStringNotContainsString('<rect', self::svg($plan, new Choices(map: new MapChoices(ground: false))));
        self::assertStringContainsString(Palette::tint('madder'), self::svg($plan, new Choices(
            map: new MapChoices(look: new Look(style: Style::Field)),
        )));
    }

    public function testTheColoursAreThoseOfTheStyles(): void
    {
        $css = (string) file_get_contents(\dirname(__DIR__, 2) . '/resources/css/tokens.css');
        $day = substr($css, 0, (int) strpos($css, '@media'));
        $inks = ['ink' => Palette::INK, 'ink-soft' => Palette::SOFT, 'ink-faint' => Palette::FAINT, 'sheet' => Palette::SHEET];
        $these = Palette::DYES + $inks;
        foreach ($these as $name => $colour) {
            self::assertStringContainsString("--{$name}: {$colour};", $day);
        }
    }

    public function testSheetsShowEverythingOnceAndOverlap(): void
    {
        $one = Sheets::of([0.0, 0.0, 3000.0, 1000.0], 'a4', false);
        self::assertSame([297.0, 210.0, 1], [$one->width, $one->height, \count($one->tiles)]);
        self::assertLessThanOrEqual(0.0, $one->tiles[0]['x']);
        self::assertGreaterThanOrEqual(3000.0, $one->tiles[0]['x'] + $one->tiles[0]['width']);
        $several = Sheets::of([-10.0, -10.0, 3000.0, 1000.0], 'a4', true);
        self::assertSame(\count($several->tiles), $several->rows * $several->columns);
        self::assertGreaterThan(1, $several->columns);
        [$first, $second] = $several->tiles;
        self::assertEqualsWithDelta(Sheets::OVERLAP, ($first['x'] + $first['width'] - $second['x']) * $several->scale, 0.001);
        $last = $several->tiles[\count($several->tiles) - 1];
        self::assertGreaterThanOrEqual(2990.0, $last['x'] + $last['width']);
        self::assertGreaterThanOrEqual(990.0, $last['y'] + $last['height']);
        self::assertLessThanOrEqual(200, \count(Sheets::of([0.0, 0.0, 90000.0, 90000.0], 'a4', true)->tiles));
    }
}
