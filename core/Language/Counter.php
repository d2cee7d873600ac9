<?php

declare(strict_types=1);

namespace Embrel\Language;

/** How a count is written. */
enum Counter
{
    case Decimal;
    case UpperRoman;
    case LowerRoman;
    case UpperLetter;
    case LowerLetter;
    /** In words, which are those of a language: Language::number() writes them. */
    case Words;

    private const ROMAN = [
        'm' => 1000,
        'cm' => 900,
        'd' => 500,
        'cd' => 400,
        'c' => 100,
        'xc' => 90,
        'l' => 50,
        'xl' => 40,
        'x' => 10,
        'ix' => 9,
        'v' => 5,
        'iv' => 4,
        'i' => 1,
    ];

    /** @param int $count from 1 */
    public function write(int $count): string
    {
        return match ($this) {
            self::Decimal => (string) $count,
            self::UpperRoman => strtoupper(self::roman($count)),
            self::LowerRoman => self::roman($count),
            self::UpperLetter => strtoupper(self::letters($count)),
            self::LowerLetter => self::letters($count),
            self::Words => (string) $count,
        };
    }

    private static function roman(int $count): string
    {
        $out = '';
        foreach (self::ROMAN as $sign => $value) {
            $out .= str_repeat($sign, intdiv($count, $value));
            $count %= $value;
        }

        return $out;
    }

    /** a … z, aa, ab … */
    private static function letters(int $count): string
    {
        $out = '';
        for (; $count > 0; $count = intdiv($count - 1, 26)) {
            $out = \chr(97 + (($count - 1) % 26)) . $out;
        }

        return $out;
    }
}
