<?php

declare(strict_types=1);

namespace Embrel\Plan;

/** A section's colour: one of the eight names, or six hexadecimal digits that the writer picked. */
final readonly class Dye
{
    public const NAMES = ['madder', 'weld', 'woad', 'fern', 'walnut', 'orchil', 'verdigris', 'slate'];

    private function __construct(public string $value) {}

    /** @throws InvalidValue */
    public static function of(string $value): self
    {
        if (\in_array($value, self::NAMES, true)) {
            return new self($value);
        }

        return preg_match('/\A#[0-9a-fA-F]{6}\z/', $value) === 1 ? new self(strtolower($value)) : throw InvalidValue::dye($value);
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

        return new self((string) array_search(min($uses), $uses, true));
    }
}
