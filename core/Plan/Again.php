<?php

declare(strict_types=1);

namespace Embrel\Plan;

/** How often work on a topic comes again. */
enum Again: string
{
    case Week = 'week';
    case Month = 'month';

    /** The day of so many times later: the same weekday, or the same day of a month. */
    public function after(string $day, int $times = 1): string
    {
        return $this === self::Week ? Day::after($day, 7 * $times) : Day::monthAfter($day, $times);
    }

    /** How many times later it is after another day; once at the least. */
    public function timesUntil(string $day, string $other): int
    {
        $days = max(0, Day::between($day, $other));
        $times = max(1, $this === self::Week ? intdiv($days, 7) : intdiv($days, 31));
        while ($this->after($day, $times) <= $other) {
            ++$times;
        }

        return $times;
    }
}
