<?php

declare(strict_types=1);

namespace Embrel\Calendar;

use Embrel\Reader\Source;
use Embrel\Reader\Unreadable;

/** A file of days, of whatever kind it is. */
final class DaysFile
{
    /** Entries that are read of one file. */
    public const MOST = 5_000;
    /** Bytes in which a calendar has begun. */
    private const BEGINNING = 2_000;

    /**
     * @param resource $in
     * @param string   $zone the person's time zone, in which hours are days
     *
     * @return list<Days>
     *
     * @throws Unreadable
     */
    public static function read($in, string $zone): array
    {
        $text = Source::text($in);

        return str_contains(substr($text, 0, self::BEGINNING), 'BEGIN:V') ? Calendar::read($text, $zone) : DaysTable::read($text);
    }

    /** @throws Unreadable when there are more than are read of one file */
    public static function count(int $entries): void
    {
        if ($entries > self::MOST) {
            throw new Unreadable('More than ' . number_format(self::MOST) . ' entries are in it. Nothing was changed.');
        }
    }
}
