<?php

declare(strict_types=1);

namespace Embrel\Plan;

/**
 * A section's colour: one of the eight names, or six hexadecimal digits that the writer picked. One
 * that a main section got by itself, chosen by nobody, is the section's only as long as it is one.
 */
final readonly class Dye
{
    public const NAMES = ['madder', 'weld', 'woad', 'fern', 'walnut', 'orchil', 'verdigris', 'slate'];

    /** The ground of the page by day and by night, as the styles have it. */
    public const GROUNDS = ['light' => '#F1F0F4', 'dark' => '#1A1620'];
    private const ENOUGH = 3.0;
    private const GIVEN = '~';

    private function __construct(public string $value, public bool $isGiven = false) {}

    /**
     * @param string $value as stored: with ~ before it where nobody chose it
     *
     * @throws InvalidValue
     */
    public static function of(string $value): self
    {
        if (str_starts_with($value, self::GIVEN)) {
            return self::of(substr($value, 1))->given();
        }
        if (\in_array($value, self::NAMES, true)) {
            return new self($value);
        }

        return preg_match('/\A#[0-9a-fA-F]{6}\z/', $value) === 1 ? new self(strtolower($value)) : throw InvalidValue::dye($value);
    }

    /** The same, as one that nobody chose. */
    public function given(): self
    {
        return new self($this->value, true);
    }

    public function stored(): string
    {
        return ($this->isGiven ? self::GIVEN : '') . $this->value;
    }

    /**
     * Those of the page's grounds on which it is hard to see: under 3:1, which WCAG 2.2 asks of what is not text.
     *
     * @return array<string, float> light or dark → the contrast there
     */
    public function faintOn(): array
    {
        return array_filter(array_map($this->contrast(...), self::GROUNDS), static fn(float $contrast): bool => $contrast < self::ENOUGH);
    }

    /**
     * How a colour that a writer picked stands out from a ground, from 1 (not at all) to 21: the
     * contrast ratio of WCAG 2.2. The eight dyes have a shade for each ground and stand out from both.
     *
     * @param string $ground six hexadecimal digits after a #
     */
    public function contrast(string $ground): float
    {
        if ($this->value[0] !== '#') {
            return 21.0;
        }
        $light = [self::luminance($this->value), self::luminance($ground)];

        return (max($light) + 0.05) / (min($light) + 0.05);
    }

    private static function luminance(string $colour): float
    {
        $parts = array_map(static function (string $pair): float {
            $part = hexdec($pair) / 255;

            return $part <= 0.04045 ? $part / 12.92 : (($part + 0.055) / 1.055) ** 2.4;
        }, str_split(substr($colour, 1), 2));

        return 0.2126 * $parts[0] + 0.7152 * $parts[1] + 0.0722 * $parts[2];
    }

    /** The dye that the fewest main sections carry; the earliest in the list where several do. */
    public static function leastUsed(Plan $plan): self
    {
        $uses = array_fill_keys(self::NAMES, 0);
        foreach ($plan->parts(Plan::ROOT) as $id) {
            $dye = $plan->topic($id)->dye?->value;
            if ($dye !== null && isset($uses[$dye])) {
                ++$uses[$dye];
            }
        }

        return new self((string) array_search(min($uses), $uses, true), true);
    }
}
