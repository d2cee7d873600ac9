<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Draft\Choices;
use Embrel\Draft\Draft;
use Embrel\Draft\DraftChoices;
use Embrel\Draft\MapChoices;
use Embrel\Fonts\Typefaces;
use Embrel\Intake\Options;
use Embrel\Pages\Piece;
use Embrel\Pages\Typesetter;
use Embrel\Plan\Field;
use Embrel\Plan\InvalidValue;
use Embrel\Plan\Plan;
use Embrel\Plan\Sign;
use Embrel\Plan\SignForms;
use Embrel\Reader\Format as Reading;
use Embrel\Writer\Format;
use Embrel\Writer\Path;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;

/** Signs on topics: found by words, drawn on every map, and kept by what comes home again. */
final class SignTest extends TestCase
{
    private static function plan(): Plan
    {
        $plan = Build::plan("Harbour\n  Boats\n  Bells");

        return $plan
            ->with($plan->topic(Build::id($plan, 'Harbour'))->with(['sign' => Sign::of('anchor')]))
            ->with($plan->topic(Build::id($plan, 'Bells'))->with(['sign' => Sign::of('bell')]));
    }

    private static function written(Format $format, Choices $choices = new Choices()): string
    {
        $out = fopen('php://temp', 'w+') ?: self::fail('No room.');
        $format->writer()->write(self::plan(), $choices, $out, sys_get_temp_dir());
        rewind($out);

        return (string) stream_get_contents($out);
    }

    /** A path with N for each of its numbers. */
    private static function shape(string $form): string
    {
        return (string) preg_replace('/\d*\.?\d+/', 'N', $form);
    }

    public function testEachStaysInItsSquareAndIsMadeOfWhatEveryPenDraws(): void
    {
        foreach (array_keys(SignForms::ALL) as $name) {
            $sign = Sign::of($name);
            self::assertMatchesRegularExpression('/\A(?:[ML]N N|[HV]N|CN N N N N N|Z)+\z/', self::shape($sign->form()), $name);
            foreach (Path::of($sign->form(12.0)) as [, , , $n]) {
                foreach ($n as $at) {
                    self::assertGreaterThanOrEqual(0.0, $at, $name);
                    self::assertLessThanOrEqual(12.0, $at, $name);
                }
            }
            self::assertMatchesRegularExpression('/\A[a-z0-9 ]+\z/', $sign->label());
        }
    }

    public function testTheyAreFoundByWordsThoseOfThatNameFirst(): void
    {
        $names = static fn(string $words): array => array_column(Sign::found($words), 'name');
        self::assertSame('anchor', $names('Anchor')[0]);
        self::assertContains('lightbulb', $names('idea'));
        self::assertContains('lightbulb', $names('ide'), 'The beginning of a word is enough.');
        self::assertContains('scale', $names('law justice'));
        self::assertSame([], $names('law xylophone'));
        self::assertSame([], $names("\u{7F}%_' OR 1"));
        self::assertCount(\count(SignForms::ALL), $names('  '));
    }

    public function testWhatIsNoSignIsRefused(): void
    {
        $this->expectException(InvalidValue::class);
        Sign::of('../anchor');
    }

    public function testAnOutlineFileBringsThemHomeAndAnUnknownOneIsNone(): void
    {
        $opml = self::written(Format::Opml);
        $signs = static function (string $file): array {
            $plan = Build::intake(Reading::ofPath('x.opml'), $file)->plan;

            return array_map(
                static fn(string $title): ?string => $plan->topic(Build::id($plan, $title))->sign?->name,
                ['Harbour', 'Boats', 'Bells'],
            );
        };
        self::assertSame(['anchor', null, 'bell'], $signs($opml));
        self::assertSame([null, null, 'bell'], $signs(str_replace('"anchor"', '"kraken"', $opml)));
        self::assertTrue(Field::Sign->isSet());
    }

    public function testDraftsHaveThemAfterTitlesWhereTheyAreWanted(): void
    {
        $wanted = new Choices(draft: new DraftChoices(signs: true));
        foreach ([Format::Docx, Format::Odt, Format::Html, Format::Epub, Format::Pdf] as $format) {
            [$with, $without] = [self::written($format, $wanted), self::written($format)];
            self::assertGreaterThan(\strlen($without), \strlen($with), $format->value);
        }
        self::assertStringContainsString(Sign::of('bell')->form(), self::written(Format::Html, $wanted));
        self::assertStringNotContainsString(Sign::of('bell')->form(), self::written(Format::Html));
        $document = Draft::of(self::plan(), $wanted);
        $names = [];
        foreach (Typesetter::book($document, Typefaces::shipped('en'), null)->pages as $page) {
            foreach (array_filter($page->pieces(), static fn(Piece $piece): bool => $piece->kind === Piece::SIGN) as $sign) {
                $names[] = $sign->text;
                $isBeside = static fn(Piece $one): bool => $one->kind === Piece::TEXT && abs($one->y - $sign->y - $sign->height) < 6.0;
                $ends = array_map(
                    static fn(Piece $one): float => $one->x + $one->width,
                    array_filter($page->pieces(), $isBeside),
                );
                self::assertNotSame([], $ends, 'It stands on the line of its title.');
                self::assertGreaterThan(max($ends), $sign->x);
            }
        }
        self::assertSame(['anchor', 'bell'], $names);
    }

    public function testADocumentThatComesBackTakesNoSignForAPicture(): void
    {
        foreach ([Format::Docx, Format::Odt] as $format) {
            $file = self::written($format, new Choices(draft: new DraftChoices(signs: true)));
            $plan = Build::intake(Reading::ofPath("x.{$format->value}"), $file, new Options('Back'))->plan;
            self::assertNull($plan->topic(Build::id($plan, 'Harbour'))->picture, $format->value);
            self::assertSame('Bells', $plan->topic(Build::id($plan, 'Bells'))->title, $format->value);
        }
    }

    public function testTheyAreOnEveryMap(): void
    {
        $svg = self::written(Format::Svg);
        foreach (['anchor', 'bell'] as $name) {
            self::assertStringContainsString(Sign::of($name)->form(16.0), $svg);
        }
        self::assertStringStartsWith('%PDF', self::written(Format::MapPdf));
        self::assertNotFalse(imagecreatefromstring(self::written(Format::Png, new Choices(map: new MapChoices(scale: 1)))));
    }
}
