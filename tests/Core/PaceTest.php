<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Pace\Next;
use Embrel\Pace\Pace;
use Embrel\Pace\Says;
use Embrel\Pace\State;
use Embrel\Pace\WritingDays;
use Embrel\Plan\Day;
use Embrel\Plan\Flag;
use Embrel\Plan\InvalidValue;
use Embrel\Plan\Plan;
use Embrel\Plan\Target;
use Embrel\Plan\WordTotals;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;

final class PaceTest extends TestCase
{
    /** A Monday. */
    private const TODAY = '2026-11-30';

    /**
     * @param array{int, int|null, string|null, array<string, int>} $given    words, target, due, written
     * @param array{State, int|null, int}                           $expected state, words a day, days
     */
    #[DataProvider('paces')]
    public function testWordsADay(array $given, array $expected, string $says): void
    {
        [$words, $target, $due, $written] = $given;
        $on = WritingDays::all();
        $pace = Pace::of($words, $target, $due, self::TODAY, $written, $on);
        self::assertSame($expected, [$pace->state, $pace->aDay, $pace->days]);
        self::assertSame($says, Says::head($pace) . '|' . Says::sentences($pace, $target, $due, self::TODAY, $on)[0]);
    }

    /** @return iterable<string, array{array<int, mixed>, array<int, mixed>, string}> */
    public static function paces(): iterable
    {
        $row = static fn(mixed ...$of): array => [\array_slice($of, 0, 4), \array_slice($of, 4, 3), $of[7]];
        yield 'on the way' => $row(
            1620,
            3600,
            '2026-12-20',
            [],
            State::OnTheWay,
            95,
            21,
            '95 words a day|finish the remaining 1,980 words by 20 December, writing every day.',
        );
        yield 'what was written today counts for today' => $row(
            1681,
            3600,
            '2026-12-20',
            [self::TODAY => 61],
            State::OnTheWay,
            95,
            21,
            '95 words a day|finish the remaining 1,919 words by 20 December, writing every day.',
        );
        yield 'what was taken away today is to be written again' => $row(
            1600,
            3600,
            '2026-12-19',
            [self::TODAY => -40],
            State::OnTheWay,
            100,
            20,
            '100 words a day|finish the remaining 2,000 words by 19 December, writing every day.',
        );
        yield 'due today' => $row(90, 100, self::TODAY, [], State::DueToday, 10, 1, '10 words today|10 words remain, and it is due today.');
        yield 'due yesterday' => $row(
            90,
            100,
            '2026-11-29',
            [],
            State::Overdue,
            null,
            0,
            'The due date is over|10 words remain of what was due on 29 November.',
        );
        $reached = 'The target is reached|100 words were planned. It is due on ';
        yield 'reached' => $row(100, 100, '2026-12-20', [], State::Reached, null, 21, "{$reached}20 December.");
        yield 'reached, though it is over' => $row(120, 100, '2026-11-01', [], State::Reached, null, 0, "{$reached}1 November.");
        yield 'the target was raised on the way' => $row(
            100,
            200,
            '2026-12-09',
            ['2026-11-20' => 100],
            State::OnTheWay,
            10,
            10,
            '10 words a day|finish the remaining 100 words by 9 December, writing every day.',
        );
        yield 'no target' => $row(
            50,
            null,
            '2026-12-20',
            [],
            State::NoTarget,
            null,
            21,
            'No target|The plan has no target in words. It is set in the properties of the plan.',
        );
        yield 'no due date' => $row(
            50,
            100,
            null,
            [],
            State::NoDue,
            null,
            0,
            '50 words to go|With a due date, what that is a day can be said. It is set in the properties of the plan.',
        );
        yield 'ten million words, and the last day of the calendar' => $row(
            0,
            10_000_000,
            '9999-12-31',
            [],
            State::OnTheWay,
            4,
            2_912_110,
            '4 words a day|finish the remaining 10,000,000 words by 31 December 9999, writing every day.',
        );
    }

    public function testOnlyDaysOnWhichOneWritesCount(): void
    {
        $on = WritingDays::of([1, 2, 3, 4, 5, 6], [['2026-12-24', '2026-12-27']]);
        // 30 November to 31 December has 28 days but Sundays; the 24th, 25th and 26th are off, the 27th is a Sunday.
        self::assertSame(25, $on->between(self::TODAY, '2026-12-31'));
        $pace = Pace::of(0, 2500, '2026-12-31', self::TODAY, [], $on);
        self::assertSame([100, 25], [$pace->aDay, $pace->days]);
        $says = Says::sentences($pace, 2500, '2026-12-31', self::TODAY, $on)[0];
        self::assertStringContainsString('writing on 25 days, never on Sunday', $says);
        $none = Pace::of(0, 100, '2026-12-26', '2026-12-24', [], $on);
        self::assertSame([State::NoDays, null], [$none->state, $none->aDay]);
        // Today is off: what one writes all the same is not taken from what the others have to do.
        self::assertSame(10, Pace::of(50, 100, '2026-12-11', '2026-12-06', ['2026-12-06' => 30], $on)->aDay);
        self::assertSame(0, WritingDays::of([], [])->between(self::TODAY, '2026-12-31'));
    }

    public function testDaysAreCountedAsACalendarWouldWhateverTheWeekdays(): void
    {
        mt_srand(5);
        for ($i = 0; $i < 200; ++$i) {
            $weekdays = array_values(array_filter(range(1, 7), static fn(): bool => mt_rand(0, 2) > 0));
            $off = [];
            for ($n = mt_rand(0, 4); $n > 0; --$n) {
                $from = Day::after(self::TODAY, mt_rand(-20, 60));
                $off[] = [$from, Day::after($from, mt_rand(0, 12))];
            }
            $on = WritingDays::of($weekdays, $off);
            $from = Day::after(self::TODAY, mt_rand(-10, 10));
            $to = Day::after($from, mt_rand(-3, 70));
            $count = 0;
            for ($day = $from; $day <= $to; $day = Day::after($day, 1)) {
                $count += $on->has($day) ? 1 : 0;
            }
            self::assertSame($count, $on->between($from, $to), "{$from} to {$to}");
            $last = $count > 0 ? $on->over($from, $count) : null;
            self::assertSame($count > 0, $last !== null && $last <= $to && $on->has($last) && $on->between($from, $last) === $count);
        }
    }

    public function testTheDaysOnWhichTheClocksChangeAreDaysLikeOthers(): void
    {
        foreach (['2026-03-28', '2026-03-29', '2026-10-24', '2026-10-25', '2028-02-28'] as $day) {
            self::assertSame(1, Day::between($day, Day::after($day, 1)));
            self::assertSame($day, Day::after(Day::after($day, 1), -1));
        }
        self::assertSame('2028-02-29', Day::after('2028-02-28', 1));
    }

    /** @param array<array-key, mixed> $off */
    #[DataProvider('badDays')]
    public function testWhatCannotBeIsRefusedInWords(array $weekdays, array $off, string $says): void
    {
        $this->expectException(InvalidValue::class);
        $this->expectExceptionMessage($says);
        WritingDays::of($weekdays, $off);
    }

    /** @return iterable<string, array{array<array-key, mixed>, array<array-key, mixed>, string}> */
    public static function badDays(): iterable
    {
        yield 'an eighth day' => [[8], [], 'weekdays'];
        yield 'a word' => [['Monday'], [], 'weekdays'];
        yield 'a stretch that ends before it begins' => [[1], [['2026-12-27', '2026-12-24']], 'ends before it begins'];
        yield 'a day that no calendar has' => [[1], [['2026-02-30', '2026-03-01']], '“2026-02-30” is no date'];
        yield 'half a stretch' => [[1], [['2026-12-24']], 'A date is missing'];
        yield 'no stretch at all' => [[1], ['2026-12-24'], 'A date is missing'];
        yield 'too many' => [[1], array_fill(0, 51, ['2026-12-24', '2026-12-24']), 'At most 50'];
    }

    public function testStretchesThatMeetBecomeOne(): void
    {
        $on = WritingDays::of([7, 1, 1], [['2026-12-26', '2026-12-27'], ['2026-12-24', '2026-12-25'], ['2027-01-01', '2027-01-01']]);
        self::assertSame(['weekdays' => [1, 7], 'off' => [['2026-12-24', '2026-12-27'], ['2027-01-01', '2027-01-01']]], $on->toArray());
    }

    public function testWhenItIsDoneAtThisPaceAndTheLineOverDays(): void
    {
        $written = ['2026-11-26' => 100, '2026-11-28' => -20, '2026-11-29' => 80, self::TODAY => 40];
        $pace = Pace::of(300, 500, '2026-12-05', self::TODAY, $written, WritingDays::all());
        // 200 words in five days: 200 more take five days from tomorrow.
        self::assertSame('2026-12-05', $pace->done);
        self::assertSame([200, 200, 180, 260, 300], array_column($pace->line, 'done'));
        self::assertSame(['2026-11-26', self::TODAY], [$pace->line[0]['day'], $pace->line[4]['day']]);
        // From 100 to 500 in ten days.
        self::assertSame([140, 180, 220, 260, 300], array_column($pace->line, 'planned'));
        $back = Pace::of(300, 500, '2026-12-05', self::TODAY, ['2026-11-29' => -10], WritingDays::all());
        self::assertNull($back->done, 'backwards never ends');
        self::assertNull(Pace::of(300, 500, null, self::TODAY, [], WritingDays::all())->done);
        self::assertSame([], Pace::of(300, 500, null, self::TODAY, [], WritingDays::all())->line);
        self::assertNull(Pace::of(1, 9_000_000, null, self::TODAY, [self::TODAY => 1], WritingDays::all())->done, 'nor does a lifetime');
        $years = Pace::of(10, 500, null, self::TODAY, ['2020-01-01' => 10], WritingDays::all());
        self::assertSame([181, 10], [\count($years->line), $years->line[0]['done']]);
    }

    public function testWhatComesNext(): void
    {
        $plan = Build::plan("Tide\n  Mud\n  Eels\nWall\n  Stones\nEnd");
        $next = static function (Plan $plan): ?string {
            $id = Next::of($plan, WordTotals::of($plan));

            return $id === null ? null : $plan->topic($id)->title;
        };
        $set = static function (Plan $plan, string $title, array $changes): Plan {
            return $plan->with($plan->topic(Build::id($plan, $title))->with($changes));
        };
        self::assertSame('Mud', $next($plan));
        $written = $set($plan, 'Mud', ['target' => Target::of(10)]);
        $written = $written->with($written->topic(Build::id($written, 'Mud'))->withNote(Build::note('Deep and cold and wet.')));
        self::assertSame('Eels', $next($written), 'the least finished in order');
        self::assertSame('End', $next($set($written, 'End', ['flag' => Flag::Next])));
        self::assertSame('Stones', $next($set($set($written, 'End', ['flag' => Flag::Next]), 'Stones', ['flag' => Flag::First])));
        self::assertSame('Stones', $next($set($written, 'Tide', ['flag' => Flag::Later])), 'what is under it comes later too');
        $all = Build::plan('Tide');
        self::assertNull($next($all->with($all->topic(Build::id($all, 'Tide'))->withNote(Build::note('It rises.')))));
    }
}
