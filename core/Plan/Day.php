<?php

declare(strict_types=1);

namespace Embrel\Plan;

/** Calendar dates as YYYY-MM-DD, reckoned without clocks: no day is ever shorter or longer than another. */
final class Day
{
    /** @throws InvalidValue where no calendar has it */
    public static function of(string $date): string
    {
        $isDate = preg_match('/\A(\d{4})-(\d\d)-(\d\d)\z/', $date, $m) === 1 && checkdate((int) $m[2], (int) $m[3], max(1, (int) $m[1]));

        return $isDate ? $date : throw new InvalidValue($date === '' ? 'A date is missing.' : "“{$date}” is no date.");
    }

    private static function at(string $date): \DateTimeImmutable
    {
        return new \DateTimeImmutable("{$date} 00:00:00", new \DateTimeZone('UTC'));
    }

    public static function after(string $date, int $days): string
    {
        return self::at($date)->modify(sprintf('%+d days', $days))->format('Y-m-d');
    }

    /** Days from one to another; negative where it was before. */
    public static function between(string $from, string $to): int
    {
        return intdiv(self::at($to)->getTimestamp() - self::at($from)->getTimestamp(), 86_400);
    }

    /** The same day of the next month; where that has none, its last. */
    public static function monthAfter(string $date, int $months = 1): string
    {
        $first = self::at(substr($date, 0, 8) . '01')->modify("+{$months} months");

        return $first->format('Y-m-') . sprintf('%02d', min((int) substr($date, 8), (int) $first->format('t')));
    }

    /** 1 for Monday to 7 for Sunday. */
    public static function weekday(string $date): int
    {
        return (int) self::at($date)->format('N');
    }

    /** 14 December; with the year where it is another than that of today. */
    public static function named(string $date, string $today): string
    {
        return self::at($date)->format(substr($date, 0, 4) === substr($today, 0, 4) ? 'j F' : 'j F Y');
    }
}
