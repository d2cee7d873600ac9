<?php

declare(strict_types=1);

namespace Embrel\Pace;

use Embrel\Plan\Again;
use Embrel\Plan\Day;

/** The words of a pace. */
final class Says
{
    private const WEEKDAYS = [1 => 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];

    /** In large: what is to be done today. */
    public static function head(Pace $pace): string
    {
        return match ($pace->state) {
            State::NoTarget => 'No target',
            State::Reached => 'The target is reached',
            State::NoDue => self::words($pace->left) . ' to go',
            State::Overdue => 'The due date is over',
            State::NoDays => 'No writing days left',
            State::DueToday => self::words($pace->aDay ?? 0) . ' today',
            State::OnTheWay => self::words($pace->aDay ?? 0) . ' a day',
        };
    }

    /** @return list<string> what it comes from, and where it leads, in sentences */
    public static function sentences(Pace $pace, ?int $target, ?string $due, string $now, WritingDays $on): array
    {
        $until = $due === null ? '' : Day::named($due, $now);
        $left = number_format($pace->left);
        $says = [match ($pace->state) {
            State::NoTarget => 'The plan has no target in words. It is set in the properties of the plan.',
            State::Reached => number_format((int) $target) . ' words were planned.' . ($due === null ? '' : " It is due on {$until}."),
            State::NoDue => 'With a due date, what that is a day can be said. It is set in the properties of the plan.',
            State::Overdue => "{$left} words remain of what was due on {$until}.",
            State::NoDays => "{$left} words remain, due on {$until}, and no day until then is one on which you write.",
            State::DueToday => "{$left} words remain, and it is due today.",
            State::OnTheWay => "finish the remaining {$left} words by {$until}, " . self::days($pace->days, $on) . '.',
        }];
        if ($pace->today !== 0) {
            $says[] = self::words(abs($pace->today)) . ($pace->today > 0 ? ' written today.' : ' taken away today.');
        }
        if ($pace->done !== null) {
            $says[] = 'At the pace of the last days it is done on ' . Day::named($pace->done, $now)
                . ($due !== null && $pace->done > $due ? ', which is too late.' : '.');
        }

        return $says;
    }

    /**
     * What becomes of the work on a topic, in a few words.
     *
     * @param array<string, mixed> $set field of a topic → what it becomes
     */
    public static function work(array $set, string $today): string
    {
        $says = [];
        foreach ($set as $name => $value) {
            $day = \is_string($value) && $name !== 'who' ? Day::named($value, $today) : '';
            $says[] = match ($name) {
                'who' => $value === '' ? 'nobody' : (\is_string($value) ? $value : ''),
                'begins' => $value === null ? 'no first day' : "from {$day}",
                'due' => $value === null ? 'no last day' : "by {$day}",
                'done' => $value === null ? 'not done' : "done on {$day}",
                default => $value instanceof Again ? "each {$value->value}" : 'once',
            };
        }

        return implode(', ', $says);
    }

    private static function days(int $days, WritingDays $on): string
    {
        $count = $days === 1 ? 'on one day' : 'on ' . number_format($days) . ' days';

        return match (\count($on->weekdays)) {
            7 => $on->off === [] ? 'writing every day' : "writing {$count}",
            6 => "writing {$count}, never on " . self::WEEKDAYS[array_values(array_diff(range(1, 7), $on->weekdays))[0]],
            default => "writing {$count}",
        };
    }

    private static function words(int $count): string
    {
        return number_format($count) . ($count === 1 ? ' word' : ' words');
    }
}
