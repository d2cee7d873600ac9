<?php

declare(strict_types=1);

namespace Embrel\Plan;

use Embrel\RichText\Text;

/** Work on a topic: who does it, from which day, by which, whether it is done, and how often it comes again. */
final class Work
{
    /** Characters of a name. */
    public const NAME = 60;
    private const DYES = ['verdigris', 'walnut', 'woad', 'orchil', 'fern', 'madder', 'slate', 'weld'];

    /** @throws InvalidValue when it is too long for a name */
    public static function who(string $typed): string
    {
        $name = trim(Text::line($typed));

        return mb_strlen($name) <= self::NAME ? $name : throw new InvalidValue('A name has at most ' . self::NAME . ' characters.');
    }

    /** Whether anything is said of work on it. */
    public static function isOn(Topic $topic): bool
    {
        return $topic->who !== '' || $topic->begins !== null || $topic->due !== null || $topic->done !== null || $topic->again !== null;
    }

    /** Whether its date has come and gone, and it is not done. */
    public static function isLate(Topic $topic, string $today): bool
    {
        return $topic->due !== null && $topic->done === null && $topic->due < $today;
    }

    /** @return array{string, string}|null its first and its last day, one day alone twice; null: it has none */
    public static function days(Topic $topic): ?array
    {
        $one = $topic->begins ?? $topic->due;
        $other = $topic->due ?? $topic->begins;

        return $one === null || $other === null ? null : [min($one, $other), max($one, $other)];
    }

    /** The nearest topic above it that has days of its own; null: there is none. */
    public static function datedAbove(Plan $plan, string $id): ?string
    {
        for ($above = $plan->parent($id); $above !== null; $above = $plan->parent($above)) {
            if (self::days($plan->topics[$above]) !== null) {
                return $above;
            }
        }

        return null;
    }

    /** Whether the last day is before the first: two people have set one each. */
    public static function isReversed(Topic $topic): bool
    {
        return $topic->begins !== null && $topic->due !== null && $topic->begins > $topic->due;
    }

    /**
     * The topic with its work done. What comes again is to be done anew, by the first day of its rhythm that is after today.
     *
     * @param string $today a calendar date
     *
     * @throws InvalidValue when that would be beyond the calendar
     */
    public static function done(Topic $topic, string $today): Topic
    {
        $day = $topic->due ?? $topic->begins;
        if ($topic->again === null || $day === null) {
            return $topic->with(['done' => $today]);
        }
        $times = $topic->again->timesUntil($day, $today);
        $next = static fn(?string $date): ?string => $date === null ? null : Day::of($topic->again->after($date, $times));

        return $topic->with(['begins' => $next($topic->begins), 'due' => $next($topic->due), 'done' => null]);
    }

    /**
     * The topic with its days moved by so many.
     *
     * @throws InvalidValue when that would be beyond the calendar
     */
    public static function shifted(Topic $topic, int $days): Topic
    {
        $moved = static fn(?string $date): ?string => $date === null ? null : Day::of(Day::after($date, $days));

        return $topic->with(['begins' => $moved($topic->begins), 'due' => $moved($topic->due)]);
    }

    /** The dye of the sign of a person: always the same for one name, here and in the page (resources/js/state/work.js). */
    public static function dye(string $who): string
    {
        $sum = array_reduce(mb_str_split($who), static fn(int $sum, string $sign): int => ($sum * 31 + mb_ord($sign)) % 9973, 7);

        return self::DYES[$sum % \count(self::DYES)];
    }

    /** Two letters or one by which a name is known in little room. */
    public static function initials(string $who): string
    {
        $parts = preg_split('/[\s.-]+/u', trim($who), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $ends = \count($parts) > 1 ? [$parts[0], $parts[\count($parts) - 1]] : $parts;

        return mb_strtoupper(implode('', array_map(static fn(string $part): string => mb_substr($part, 0, 1), $ends)));
    }
}
