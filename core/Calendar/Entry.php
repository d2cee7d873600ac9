<?php

declare(strict_types=1);

namespace Embrel\Calendar;

use Embrel\Id\Ulid;
use Embrel\Plan\Again;
use Embrel\Plan\Day;
use Embrel\Plan\InvalidValue;
use Embrel\Plan\Work;
use Embrel\RichText\Text;
use Sabre\VObject\Component;
use Sabre\VObject\DateTimeParser;
use Sabre\VObject\Property;
use Sabre\VObject\Property\ICalendar\DateTime;

/** An entry of a calendar as it is read: of whole days or of hours (RFC 5545, 3.6.1), or a thing to do (3.6.2), of whatever program. */
final readonly class Entry
{
    /** In our own entries: the day on which the work was done. */
    public const DONE = 'X-EMBREL-DONE';
    private const EVENT = 'VEVENT';
    private const TO_DO = 'VTODO';

    private function __construct(private Component $entry, private \DateTimeZone $zone) {}

    /** @return Days|null null: it is of another kind, was called off, or is a single time of one that comes again */
    public static function days(mixed $entry, \DateTimeZone $zone): ?Days
    {
        if (!$entry instanceof Component || !\in_array($entry->name, [self::EVENT, self::TO_DO], true)) {
            return null;
        }
        $read = new self($entry, $zone);
        if (isset($entry->{'RECURRENCE-ID'}) || strtoupper($read->says('STATUS')) === 'CANCELLED') {
            return null;
        }
        [$from, $to] = $read->firstAndLast();
        $uid = strtok($read->says('UID'), '@');
        $done = $read->done();

        return new Days(
            $uid !== false && Ulid::isValid($uid) ? $uid : null,
            trim(Text::line($read->says('SUMMARY'))),
            $from,
            $to,
            isset($entry->CONTACT) ? mb_substr(trim(Text::line($read->says('CONTACT'))), 0, Work::NAME) : null,
            $done,
            self::again($read->says('RRULE')),
            // An entry of a calendar has no place for it; a thing to do has.
            saysDone: $done !== null || $entry->name === self::TO_DO,
            saysFrom: $from !== null,
            saysTo: $to !== null,
        );
    }

    private function says(string $name): string
    {
        foreach ($this->entry->select($name) as $property) {
            return $property instanceof Property ? (string) $property : '';
        }

        return '';
    }

    /** @return array{string|null, string|null} first and last day */
    private function firstAndLast(): array
    {
        $isToDo = $this->entry->name === self::TO_DO;
        $from = $this->at($this->entry->DTSTART ?? null);
        $end = $isToDo ? $this->entry->DUE ?? null : $this->entry->DTEND ?? null;
        $to = $this->at($end);
        if ($to !== null && !$isToDo) {
            // The end is the first moment, or day, after it.
            $to = $to->modify($end instanceof DateTime && $end->hasTime() ? '-1 second' : '-1 day');
        } elseif ($to === null && $from !== null && isset($this->entry->DURATION)) {
            try {
                $lasts = DateTimeParser::parseDuration($this->says('DURATION'));
                $to = $lasts instanceof \DateInterval ? $from->add($lasts)->modify('-1 second') : null;
            } catch (\Throwable) {
                $to = null;
            }
        }
        [$first, $last] = array_map(static fn(?\DateTimeImmutable $at): ?string => self::day($at?->format('Y-m-d')), [$from, $to]);

        return $first !== null && $last !== null && $last < $first ? [$first, $first] : [$first, $last ?? ($isToDo ? null : $first)];
    }

    private function at(mixed $property): ?\DateTimeImmutable
    {
        try {
            if (!$property instanceof DateTime) {
                return null;
            }
            $at = \DateTimeImmutable::createFromInterface($property->getDateTime($this->zone));

            // A day is a day wherever one is; an hour may be on another day here.
            return $property->hasTime() ? $at->setTimezone($this->zone) : $at;
        } catch (\Throwable) {
            return null;
        }
    }

    private static function day(?string $date): ?string
    {
        try {
            return $date === null ? null : Day::of($date);
        } catch (InvalidValue) {
            return null;
        }
    }

    private function done(): ?string
    {
        if (preg_match('/\A(\d{4})(\d\d)(\d\d)\z/', $this->says(self::DONE), $m) === 1) {
            return self::day("{$m[1]}-{$m[2]}-{$m[3]}");
        }

        return self::day($this->at($this->entry->COMPLETED ?? null)?->format('Y-m-d'));
    }

    private static function again(string $rule): ?Again
    {
        $isEvery = preg_match('/(?:\A|;)INTERVAL=0*(?!1(?:;|\z))\d/i', $rule) !== 1;

        return match (true) {
            !$isEvery => null,
            preg_match('/(?:\A|;)FREQ=WEEKLY\b/i', $rule) === 1 => Again::Week,
            preg_match('/(?:\A|;)FREQ=MONTHLY\b/i', $rule) === 1 => Again::Month,
            default => null,
        };
    }
}
