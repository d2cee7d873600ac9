<?php

declare(strict_types=1);

namespace Embrel\Calendar;

use Embrel\Numbering\Numbering;
use Embrel\Plan\Again;
use Embrel\Plan\Day;
use Embrel\Plan\Plan;
use Embrel\Plan\Topic;
use Embrel\Plan\Work;
use Embrel\Reader\Unreadable;
use Sabre\VObject\Component;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Reader;

/**
 * The days of a plan as a calendar (iCalendar, RFC 5545): an entry of whole days for each topic that has some. How entries
 * are read back, those of other programs too, Entry knows.
 */
final class Calendar
{
    private const LINE = '/\A[\w.-]+(?:;[\w-]+(?:=(?:"[^"]*"|[^":;])*)?)*(?::|\z)/';
    /** A zone holds its changes, an entry its alarms: nothing of a calendar stands deeper. */
    private const DEPTH = 6;
    /** So far ahead are the Februaries named that lack a day of the month. */
    private const YEARS = 5;

    /**
     * @param string $planId by which entries of this plan are told from those of others
     * @param string $stamp  when it was written, in UTC, as 20261130T080000Z
     */
    public static function write(Plan $plan, string $planId, string $stamp): string
    {
        return self::quietly(static function () use ($plan, $planId, $stamp): string {
            $calendar = new VCalendar(['PRODID' => '-//Embrel//Embrel//EN']);
            $calendar->add('X-WR-CALNAME', $plan->title());
            $numbering = Numbering::of($plan);
            foreach ($plan->standing() as $id) {
                $topic = $plan->topics[$id];
                $days = Work::days($topic);
                if ($days === null) {
                    continue;
                }
                $entry = $calendar->createComponent('VEVENT', [], false);
                $entry->add('UID', self::uid($id, $planId));
                $entry->add('DTSTAMP', $stamp);
                $name = $topic->title === '' ? 'Untitled' : $topic->title;
                $entry->add('SUMMARY', trim("{$numbering->full($id)} {$name}"));
                self::addWork($entry, $topic, $days);
                $above = Work::datedAbove($plan, $id);
                $above === null ?: $entry->add('RELATED-TO', self::uid($above, $planId), ['RELTYPE' => 'PARENT']);
                $calendar->add($entry);
            }

            return $calendar->serialize();
        });
    }

    /** @param array{string, string} $days first and last */
    private static function addWork(Component $entry, Topic $topic, array $days): void
    {
        [$first, $last] = $days;
        $entry->add('DTSTART', self::date($first), ['VALUE' => 'DATE']);
        // The end of whole days is the first day after them (3.6.1).
        $entry->add('DTEND', self::date(Day::after($last, 1)), ['VALUE' => 'DATE']);
        // A day with work on it is not taken up by it.
        $entry->add('TRANSP', 'TRANSPARENT');
        $topic->again === null ?: self::addRhythm($entry, $topic->again, $first);
        $topic->who === '' ?: $entry->add('CONTACT', $topic->who);
        $topic->labels === [] ?: $entry->add('CATEGORIES', $topic->labels);
        $topic->done === null ?: $entry->add(Entry::DONE, self::date($topic->done));
    }

    /** By the rules of recurrence (3.3.10). Of a day that not every month has it is the last one: where that is another, it is named. */
    private static function addRhythm(Component $entry, Again $again, string $from): void
    {
        $day = (int) substr($from, 8);
        $entry->add('RRULE', match (true) {
            $again === Again::Week => 'FREQ=WEEKLY',
            $day === 31 => 'FREQ=MONTHLY;BYMONTHDAY=-1',
            default => 'FREQ=MONTHLY',
        });
        if ($again === Again::Month && ($day === 29 || $day === 30)) {
            $times = array_map(static fn(int $month): string => $again->after($from, $month), range(1, 12 * self::YEARS));
            $lacking = array_filter($times, static fn(string $time): bool => (int) substr($time, 8) < $day);
            $entry->add('RDATE', implode(',', array_map(self::date(...), $lacking)), ['VALUE' => 'DATE']);
        }
    }

    /** As a calendar has it (3.3.4). */
    private static function date(string $day): string
    {
        return strtr($day, ['-' => '']);
    }

    private static function uid(string $topic, string $plan): string
    {
        return "{$topic}@{$plan}.embrel";
    }

    /**
     * @param string $zone the person's time zone, in which hours are days
     *
     * @return list<Days> entries that were called off, and single times of one that comes again, are left out
     *
     * @throws Unreadable
     */
    public static function read(string $text, string $zone): array
    {
        return self::quietly(static function () use ($text, $zone): array {
            $lines = self::lines($text);
            try {
                $calendar = Reader::read($lines, Reader::OPTION_FORGIVING | Reader::OPTION_IGNORE_INVALID_LINES);
            } catch (\Throwable) {
                throw new Unreadable('This is no calendar that can be read: no BEGIN:VCALENDAR with its end was found in it.');
            }
            if (!$calendar instanceof VCalendar) {
                throw new Unreadable('This is no calendar, but a list of addresses or something else.');
            }
            $read = [];
            foreach ($calendar->getComponents() as $entry) {
                $days = Entry::days($entry, new \DateTimeZone($zone));
                $days === null ?: $read[] = $days;
                DaysFile::count(\count($read));
            }

            return $read;
        });
    }

    /**
     * The lines of a calendar (3.1), each with what it goes on with, without those that are none.
     *
     * @throws Unreadable
     */
    private static function lines(string $text): string
    {
        $whole = (string) preg_replace('/(?:\r\n|\r|\n)[ \t]/', '', mb_scrub($text));
        $isLine = static fn(string $line): bool => preg_match(self::LINE, $line) === 1;
        $lines = array_filter(preg_split('/\r\n|\r|\n/', $whole) ?: [], $isLine);
        if (self::depth($lines) > self::DEPTH) {
            throw new Unreadable('This is no calendar that a program made: its entries stand within each other.');
        }

        return implode("\r\n", $lines) . "\r\n";
    }

    /**
     * How deep parts stand within each other.
     *
     * @param array<string> $lines
     */
    private static function depth(array $lines): int
    {
        $deepest = $depth = 0;
        foreach ($lines as $line) {
            $sign = strtoupper((string) strtok($line, ':;'));
            $depth += ['BEGIN' => 1, 'END' => -1][$sign] ?? 0;
            $deepest = max($deepest, $depth);
        }

        return $deepest;
    }

    /**
     * The library was written for an older PHP, and says so of itself at each use.
     *
     * @template T
     *
     * @param \Closure(): T $work
     *
     * @return T
     */
    private static function quietly(\Closure $work): mixed
    {
        set_error_handler(static fn(): bool => true, \E_DEPRECATED);
        try {
            return $work();
        } finally {
            restore_error_handler();
        }
    }
}
