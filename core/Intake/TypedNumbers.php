<?php

declare(strict_types=1);

namespace Embrel\Intake;

use Embrel\Language\Counter;
use Embrel\Plan\Edit;
use Embrel\Plan\Plan;

/**
 * Takes typed numbers such as “1.2” or “IV.” off the titles of an intake: only where a space and a
 * letter follow, and only where all the siblings that have one count up in sequence. A year at the
 * start of a title stays.
 */
final class TypedNumbers
{
    private const FORM = '/\A(?:(?:chapter|part|section|appendix|kapitel|teil)\s+)?\(?((?:[0-9]{1,3}|[ivxlc]{1,7}|[a-z])(?:\.(?:[0-9]{1,3}|[ivxlc]{1,7}|[a-z]))*)(?:\.|\)|:)?\s+(?=[\p{L}\p{Pi}"“])/iu';

    public static function stripped(Plan $plan): Plan
    {
        $edit = new Edit($plan);
        foreach ($plan->parts as $parent => $ids) {
            if ($parent === Plan::BIN) {
                continue;
            }
            foreach (self::inSequence($plan, $ids) as $id => $title) {
                $edit->put($plan->topic($id)->withTitle($title));
            }
        }

        return $edit->done();
    }

    /**
     * @param list<string> $ids siblings
     *
     * @return array<string, string> topic → title without its number
     */
    private static function inSequence(Plan $plan, array $ids): array
    {
        $found = [];
        foreach ($ids as $id) {
            if (preg_match(self::FORM, $plan->topic($id)->title, $m) === 1 && self::looksTyped($m[0], $m[1])) {
                $found[$id] = [$m[1], mb_substr($plan->topic($id)->title, mb_strlen($m[0])), !ctype_digit(rtrim($m[0]))];
            }
        }
        $numbers = array_column($found, 0);
        $lone = \count($numbers) === 1 && !$found[array_key_first($found)][2];
        if ($numbers === [] || $lone || !self::countUp($numbers)) {
            return [];
        }

        return array_map(static fn(array $one): string => $one[1], $found);
    }

    /** A single letter or a Roman number needs its point: “I think”, “A buffer” are words. */
    private static function looksTyped(string $whole, string $number): bool
    {
        return ctype_digit($number[0]) || preg_match('/[.):]\s|\A(?:chapter|part|section|appendix|kapitel|teil)\s/iu', $whole) === 1;
    }

    /** @param list<string> $numbers */
    private static function countUp(array $numbers): bool
    {
        foreach (['decimal', 'roman', 'letter'] as $system) {
            $values = array_map(static fn(string $number): ?int => self::value($number, $system), $numbers);
            $stems = array_unique(
                array_map(static fn(string $number): string => substr($number, 0, (int) strrpos('.' . $number, '.')), $numbers),
            );
            if (\in_array(null, $values, true) || \count($stems) > 1) {
                continue;
            }
            $first = $values[0];
            if ($values === range($first, $first + \count($values) - 1)) {
                return true;
            }
        }

        return false;
    }

    private static function value(string $number, string $system): ?int
    {
        $last = strtolower(substr($number, (int) strrpos('.' . $number, '.')));

        return match ($system) {
            'decimal' => ctype_digit($last) ? (int) $last : null,
            'letter' => \strlen($last) === 1 && ctype_alpha($last) ? \ord($last) - 96 : null,
            default => self::roman($last),
        };
    }

    private static function roman(string $text): ?int
    {
        for ($n = 1; $n <= 200; ++$n) {
            if (Counter::LowerRoman->write($n) === $text) {
                return $n;
            }
        }

        return null;
    }
}
