<?php

declare(strict_types=1);

namespace Embrel\Pace;

use Embrel\Plan\Day;
use Embrel\Plan\InvalidValue;

/** The days on which a person writes: some days of the week, without some stretches of the calendar. */
final readonly class WritingDays
{
    /** Stretches of one person in one plan. */
    private const MOST_OFF = 50;

    /**
     * @param list<int>                    $weekdays 1 for Monday to 7 for Sunday, as ISO 8601 numbers them; each once, in order
     * @param list<array{string, string}>  $off      first and last day of each stretch, in order, none touching another
     */
    private function __construct(public array $weekdays, public array $off) {}

    public static function all(): self
    {
        return new self([1, 2, 3, 4, 5, 6, 7], []);
    }

    /**
     * @param array<array-key, mixed> $weekdays
     * @param array<array-key, mixed> $off      each the first and the last day, calendar dates
     *
     * @throws InvalidValue with words for the person
     */
    public static function of(array $weekdays, array $off): self
    {
        $days = [];
        foreach ($weekdays as $day) {
            $isOne = \is_int($day) && $day >= 1 && $day <= 7;
            $isOne ? $days[$day] = $day : throw InvalidValue::field('weekdays', (string) json_encode($day));
        }
        if (\count($off) > self::MOST_OFF) {
            throw new InvalidValue('At most ' . self::MOST_OFF . ' stretches can be left out.');
        }
        $stretches = [];
        foreach ($off as $one) {
            [$from, $to] = \is_array($one) && \count($one) === 2 ? array_values($one) : [null, null];
            [$from, $to] = [Day::of(\is_string($from) ? $from : ''), Day::of(\is_string($to) ? $to : '')];
            $from <= $to || throw new InvalidValue("{$from} to {$to} ends before it begins.");
            $stretches[] = [$from, $to];
        }
        ksort($days);
        sort($stretches);

        return new self(array_values($days), self::merged($stretches));
    }

    /**
     * @param list<array{string, string}> $stretches in order
     *
     * @return list<array{string, string}>
     */
    private static function merged(array $stretches): array
    {
        /** @var list<array{string, string}> $merged */
        $merged = [];
        foreach ($stretches as [$from, $to]) {
            if ($merged !== [] && $from <= Day::after($merged[\count($merged) - 1][1], 1)) {
                [$first, $last] = array_pop($merged);
                [$from, $to] = [$first, max($last, $to)];
            }
            $merged[] = [$from, $to];
        }

        return $merged;
    }

    public function has(string $day): bool
    {
        foreach ($this->off as [$from, $to]) {
            if ($day >= $from && $day <= $to) {
                return false;
            }
        }

        return \in_array(Day::weekday($day), $this->weekdays, true);
    }

    /** How many there are from one day to another, both among them; 0 where the last is before the first. */
    public function between(string $from, string $to): int
    {
        $count = $this->weekdaysBetween($from, $to);
        foreach ($this->off as [$first, $last]) {
            $count -= $this->weekdaysBetween(max($first, $from), min($last, $to));
        }

        return $count;
    }

    private function weekdaysBetween(string $from, string $to): int
    {
        $days = Day::between($from, $to) + 1;
        if ($days <= 0) {
            return 0;
        }
        $count = intdiv($days, 7) * \count($this->weekdays);
        for ($i = 0, $first = Day::weekday($from); $i < $days % 7; ++$i) {
            $count += \in_array(($first - 1 + $i) % 7 + 1, $this->weekdays, true) ? 1 : 0;
        }

        return $count;
    }

    /** The day on which so many writing days are over, the first day counted; null where that is more than ten years away. */
    public function over(string $from, int $days): ?string
    {
        $last = Day::after($from, 3_660);
        if ($days < 1 || $this->between($from, $last) < $days) {
            return null;
        }
        [$low, $high] = [0, 3_660];
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            $this->between($from, Day::after($from, $middle)) >= $days ? $high = $middle : $low = $middle + 1;
        }

        return Day::after($from, $low);
    }

    /** @return array{weekdays: list<int>, off: list<array{string, string}>} */
    public function toArray(): array
    {
        return ['weekdays' => $this->weekdays, 'off' => $this->off];
    }
}
