<?php

declare(strict_types=1);

namespace App\Store;

use Embrel\Plan\Ascending;

/**
 * Fractional keys: text whose byte order is the order among siblings, so that a topic can be put
 * between two others without touching them. No key ends in the lowest digit, so there is always room below.
 */
final class Places
{
    private const DIGITS = '0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz';
    private const BASE = 62;
    private const LONGEST = 200;

    /**
     * Keys for siblings in their order: those that ascend already are kept, as many as can be.
     *
     * @param list<string>          $ids  in the order wanted
     * @param array<string, string> $keys id → key it has, of those that have one
     *
     * @return array<string, string> id → key, of those whose key is new
     */
    public static function for(array $ids, array $keys): array
    {
        $kept = Ascending::longest(self::inOrder($ids, $keys), strcmp(...));
        foreach ($kept as $id => $_) {
            if (\strlen($keys[$id]) > self::LONGEST) {
                $kept = [];
                break;
            }
        }
        $new = [];
        $gap = [];
        $below = '';
        foreach ([...$ids, null] as $id) {
            if ($id !== null && !isset($kept[$id])) {
                $gap[] = $id;
                continue;
            }
            $above = $id === null ? '' : $keys[$id];
            foreach (self::between($below, $above, \count($gap)) as $i => $key) {
                $new[$gap[$i]] = $key;
            }
            $gap = [];
            $below = $above;
        }

        return $new;
    }

    /**
     * So many keys in order between two; '' stands for no bound.
     *
     * @return list<string>
     */
    public static function between(string $below, string $above, int $count): array
    {
        if ($count === 0) {
            return [];
        }
        $width = 1;
        while (self::room($below, $above, $width) <= $count) {
            ++$width;
        }
        $start = self::number($below, $width);
        $room = self::room($below, $above, $width);
        $keys = [];
        for ($i = 1; $i <= $count; ++$i) {
            $keys[] = self::key(self::plus($start, intdiv($room * $i, $count + 1)));
        }

        return $keys;
    }

    /**
     * How many steps of the last digit lie between the bounds at a width, as far as an int can say.
     */
    private static function room(string $below, string $above, int $width): int
    {
        $low = self::number($below, $width);
        $high = $above === '' ? [1, ...array_fill(0, $width, 0)] : [0, ...self::number($above, $width)];
        $low = [0, ...$low];
        $room = 0;
        foreach ($high as $i => $digit) {
            $room = $room * self::BASE + $digit - $low[$i];
            if ($room > 1 << 40) {
                return 1 << 40;
            }
        }

        return $room;
    }

    /** @return list<int> the digits of a key, cut or filled up to a width */
    private static function number(string $key, int $width): array
    {
        $digits = [];
        for ($i = 0; $i < $width; ++$i) {
            $digits[] = isset($key[$i]) ? (int) strpos(self::DIGITS, $key[$i]) : 0;
        }

        return $digits;
    }

    /**
     * @param list<int> $digits
     *
     * @return list<int>
     */
    private static function plus(array $digits, int $steps): array
    {
        for ($i = \count($digits) - 1; $i >= 0 && $steps > 0; --$i) {
            $sum = $digits[$i] + $steps;
            $digits[$i] = $sum % self::BASE;
            $steps = intdiv($sum, self::BASE);
        }

        return array_values($digits);
    }

    /** @param list<int> $digits */
    private static function key(array $digits): string
    {
        $key = '';
        foreach ($digits as $digit) {
            $key .= self::DIGITS[$digit];
        }

        return str_ends_with($key, '0') ? $key . 'V' : $key;
    }

    /**
     * @param list<string>          $ids
     * @param array<string, string> $keys
     *
     * @return array<string, string> the keys in the order of the ids
     */
    private static function inOrder(array $ids, array $keys): array
    {
        $ordered = [];
        foreach ($ids as $id) {
            if (isset($keys[$id])) {
                $ordered[$id] = $keys[$id];
            }
        }

        return $ordered;
    }
}
