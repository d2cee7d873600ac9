<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Plan\Dye;
use Embrel\Plan\InvalidValue;
use PHPUnit\Framework\TestCase;

final class DyeTest extends TestCase
{
    public function testContrastIsThatOfTheGuidelines(): void
    {
        self::assertEqualsWithDelta(21.0, Dye::of('#000000')->contrast('#FFFFFF'), 0.001);
        self::assertEqualsWithDelta(1.0, Dye::of('#7f7f7f')->contrast('#7F7F7F'), 0.001);
        self::assertEqualsWithDelta(4.54, Dye::of('#767676')->contrast('#FFFFFF'), 0.01);
        self::assertEqualsWithDelta(4.0, Dye::of('#ff0000')->contrast('#FFFFFF'), 0.01);
    }

    public function testFaintColoursAreNamedForEachGround(): void
    {
        self::assertSame(['light'], array_keys(Dye::of('#fff8e0')->faintOn()));
        self::assertSame(['dark'], array_keys(Dye::of('#203080')->faintOn()));
        self::assertSame([], Dye::of('#7a7a8a')->faintOn());
        self::assertSame([], Dye::of('weld')->faintOn());
    }

    /** The grounds and the dyes are those of the styles, and every dye can be told from the ground that it is shown on. */
    public function testGroundsAndDyesAreThoseOfThePage(): void
    {
        $tokens = (string) file_get_contents(\dirname(__DIR__, 2) . '/resources/css/tokens.css');
        $these = array_combine(['light', 'dark'], \array_slice(explode('@media (prefers-color-scheme: dark)', $tokens), 0, 2));
        foreach ($these as $name => $styles) {
            self::assertSame(1, preg_match('/--ground: (#[0-9A-Fa-f]{6})/', $styles, $ground));
            self::assertSame(Dye::GROUNDS[$name], $ground[1]);
            foreach (Dye::NAMES as $dye) {
                self::assertSame(1, preg_match("/--{$dye}: (#[0-9A-Fa-f]{6})/", $styles, $colour), "{$dye}, {$name}");
                self::assertGreaterThanOrEqual(3.0, Dye::of($colour[1])->contrast($ground[1]), "{$dye}, {$name}");
            }
        }
    }

    public function testOnlyNamesAndSixDigitsAreDyes(): void
    {
        self::assertSame('#ab12cd', Dye::of('#AB12CD')->value);
        foreach (['red', '#abc', '#12345g', 'url(x)', ''] as $value) {
            try {
                Dye::of($value);
                self::fail("{$value} is no dye.");
            } catch (InvalidValue $why) {
                self::assertNotSame('', $why->getMessage());
            }
        }
    }
}
