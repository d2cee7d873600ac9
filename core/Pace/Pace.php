<?php

declare(strict_types=1);

namespace Embrel\Pace;

use Embrel\Plan\Day;

/** How many words a day remain to the due date, and when a piece will be done as it goes. */
final readonly class Pace
{
    /** Writing days that the pace so far is taken from. */
    private const LAST = 14;

    /**
     * @param int         $left      words to the target; 0 where it is reached, or there is none
     * @param int         $days      writing days from today to the due date, both among them
     * @param int|null    $aDay      words on each of them, today's with what was written today; null: it cannot be said
     * @param int         $today     words written today: added less taken away
     * @param string|null $done      the day on which it will be done at the pace of the last writing days; null: it cannot be said
     * @param list<array{day: string, done: int, planned: int|null}> $line
     *        for each day since the first that was kept: words at its end, null in `done` never; what was planned for it by an
     *        even line to the target, null without one
     */
    private function __construct(
        public State $state,
        public int $left,
        public int $days,
        public ?int $aDay,
        public int $today,
        public ?string $done,
        public array $line,
    ) {}

    /**
     * @param int                $words    that the plan has now
     * @param int|null           $target   in words
     * @param string|null        $due      a calendar date
     * @param string             $now      today, a calendar date where the person is
     * @param array<string, int> $written  day → words of that day, added less taken away, by all who write in the plan
     * @param WritingDays        $on       days on which one writes
     */
    public static function of(int $words, ?int $target, ?string $due, string $now, array $written, WritingDays $on): self
    {
        ksort($written);
        $left = $target === null ? 0 : max(0, $target - $words);
        $today = $written[$now] ?? 0;
        $days = $due === null ? 0 : $on->between($now, $due);
        $state = match (true) {
            $target === null => State::NoTarget,
            $left === 0 => State::Reached,
            $due === null => State::NoDue,
            $due < $now => State::Overdue,
            $due === $now => State::DueToday,
            $days === 0 => State::NoDays,
            default => State::OnTheWay,
        };
        $aDay = match ($state) {
            // By what was left this morning: the number of the day does not shrink while one writes.
            State::OnTheWay => (int) ceil(max($left, $left + ($on->has($now) ? $today : 0)) / max(1, $days)),
            State::DueToday => $left + max(0, $today),
            default => null,
        };

        return new self(
            $state,
            $left,
            $days,
            $aDay,
            $today,
            $left === 0 ? null : self::doneBy($left, $now, $written, $on),
            self::line($words, $target, $due, $now, $written, $on),
        );
    }

    /** @param array<string, int> $written in order */
    private static function doneBy(int $left, string $now, array $written, WritingDays $on): ?string
    {
        $first = array_key_first($written);
        if ($first === null) {
            return null;
        }
        $from = $first;
        // The last writing days before today, and today where something was written.
        for ($day = $now, $count = 0; $day >= $first && $count < self::LAST; $day = Day::after($day, -1)) {
            $from = $day;
            $count += $on->has($day) || isset($written[$day]) ? 1 : 0;
        }
        $sum = array_sum(array_filter($written, static fn(string $day): bool => $day >= $from && $day <= $now, ARRAY_FILTER_USE_KEY));
        if ($count === 0 || $sum <= 0) {
            return null;
        }

        return $on->over(Day::after($now, 1), (int) ceil($left / ($sum / $count)));
    }

    /**
     * @param array<string, int> $written in order
     *
     * @return list<array{day: string, done: int, planned: int|null}>
     */
    private static function line(int $words, ?int $target, ?string $due, string $now, array $written, WritingDays $on): array
    {
        $first = array_key_first($written);
        if ($first === null) {
            return [];
        }
        $begun = $words - array_sum($written);
        $all = $due === null || $target === null ? 0 : $on->between($first, $due);
        $line = [];
        $done = $begun;
        // A line of years is told by its last months.
        $from = max($first, Day::after($now, -180));
        foreach ($written as $day => $net) {
            $done += $day < $from ? $net : 0;
        }
        for ($day = $from; $day <= $now; $day = Day::after($day, 1)) {
            $done += $written[$day] ?? 0;
            $share = $all === 0 ? null : min(1, $on->between($first, $day) / $all);
            $line[] = [
                'day' => $day,
                'done' => max(0, $done),
                'planned' => $share === null ? null : (int) round($begun + ($target - $begun) * $share),
            ];
        }

        return $line;
    }
}
