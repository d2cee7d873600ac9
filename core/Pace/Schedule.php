<?php

declare(strict_types=1);

namespace Embrel\Pace;

use Embrel\Plan\Day;
use Embrel\Plan\Plan;
use Embrel\Plan\Work;

/**
 * What is to be done when: the topics with days of their own, and those above them, in reading order. A topic with one day
 * alone takes up that day.
 */
final readonly class Schedule
{
    /** Days that are shown before the first day of work, and after the last. */
    private const MARGIN = 7;
    /** Days that are shown where there is little or nothing. */
    private const LEAST = 42;

    /**
     * @param list<Stretch> $stretches
     * @param string        $from      the Monday from which it is shown
     * @param string        $to        the Sunday up to which
     * @param int           $undated   topics on which somebody works that have no day
     */
    private function __construct(public array $stretches, public string $from, public string $to, public int $undated) {}

    /** @param string $today a calendar date */
    public static function of(Plan $plan, string $today): self
    {
        $own = self::own($plan);
        $over = self::over($plan, $own);
        $stretches = [];
        $undated = 0;
        foreach ([Plan::ROOT, Plan::TRAY] as $home) {
            foreach ($plan->walk($home) as $id => $level) {
                $topic = $plan->topics[$id];
                $days = $own[$id] ?? $over[$id] ?? null;
                $undated += !isset($own[$id]) && $topic->who !== '' && $topic->done === null ? 1 : 0;
                if ($days === null) {
                    continue;
                }
                $isOwn = isset($own[$id]);
                $stretches[] = new Stretch(
                    (string) $id,
                    $level,
                    $days[0],
                    $days[1],
                    $isOwn,
                    Work::isReversed($topic),
                    Work::isLate($topic, $today),
                    $topic->done !== null,
                    $topic->who,
                    $topic->again,
                    $isOwn ? self::outside($plan, (string) $id, $own) : null,
                );
            }
        }
        [$from, $to] = self::shown($stretches, $today, $plan->properties->due);

        return new self($stretches, $from, $to, $undated);
    }

    /** @return array<string, array{string, string}> topic → its first and last day */
    private static function own(Plan $plan): array
    {
        $own = [];
        foreach ($plan->topics as $id => $topic) {
            $days = Work::days($topic);
            if ($days !== null && $plan->isLive((string) $id)) {
                $own[$id] = $days;
            }
        }

        return $own;
    }

    /**
     * @param array<string, array{string, string}> $own
     *
     * @return array<string, array{string, string}> topic without days of its own → those that its parts take up together
     */
    private static function over(Plan $plan, array $own): array
    {
        $over = [];
        foreach ($own as $id => [$from, $to]) {
            for ($above = $plan->parent((string) $id); $above !== null && !Plan::isFixed($above); $above = $plan->parent($above)) {
                if (isset($own[$above])) {
                    break;
                }
                $over[$above] = [min($from, $over[$above][0] ?? $from), max($to, $over[$above][1] ?? $to)];
            }
        }

        return $over;
    }

    /** @param array<string, array{string, string}> $own */
    private static function outside(Plan $plan, string $id, array $own): ?string
    {
        $above = Work::datedAbove($plan, $id);

        return $above !== null && ($own[$id][0] < $own[$above][0] || $own[$id][1] > $own[$above][1]) ? $above : null;
    }

    /**
     * Whole weeks with all work in them, and today.
     *
     * @param list<Stretch> $stretches
     *
     * @return array{string, string}
     */
    private static function shown(array $stretches, string $today, ?string $due): array
    {
        $days = [$today, ...array_column($stretches, 'from'), ...array_column($stretches, 'to'), ...$due === null ? [] : [$due]];
        [$from, $to] = [min($days), max($days)];
        // A year that was mistyped would leave no room for all others.
        $from = max($from, Day::after($today, -730));
        $to = max(min($to, Day::after($today, 1_460)), Day::after($from, self::LEAST - self::MARGIN));
        $from = Day::after($from, 1 - Day::weekday($from));
        $to = Day::after($to, self::MARGIN);

        return [$from, Day::after($to, 7 - Day::weekday($to))];
    }
}
