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
