<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Draft\Choices;
use Embrel\Id\CountedIds;
use Embrel\Intake\Options;
use Embrel\Operation\FinishWork;
use Embrel\Operation\JoinTopics;
use Embrel\Operation\OperationRefused;
use Embrel\Operation\SetWork;
use Embrel\Operation\ShiftWork;
use Embrel\Operation\Wording;
use Embrel\Pace\Schedule;
use Embrel\Pace\Stretch;
use Embrel\Plan\Again;
use Embrel\Plan\Day;
use Embrel\Plan\InvalidValue;
use Embrel\Plan\Plan;
use Embrel\Plan\Topic;
use Embrel\Plan\Work;
use Embrel\Reader\Csv\CsvReader;
use Embrel\Reader\Opml\OpmlReader;
use Embrel\Writer\Csv\CsvWriter;
use Embrel\Writer\Format;
use Embrel\Writer\Opml\OpmlWriter;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;

/** Who works on a topic, from when, by when; what is done, and what comes again. */
final class WorkTest extends TestCase
{
    private const TODAY = '2026-11-30';

    /** @param array<string, array<string, mixed>> $work title → fields */
    private static function plan(string $outline, array $work = []): Plan
    {
        $plan = Build::plan($outline);
        foreach ($work as $title => $set) {
            $plan = $plan->with($plan->topic(Build::id($plan, $title))->with($set));
        }

        return $plan;
    }

    private static function topic(Plan $plan, string $title): Topic
    {
        return $plan->topic(Build::id($plan, $title));
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>}> work → what it is when it was done today */
    public static function finished(): iterable
    {
        yield 'once' => [['due' => '2026-12-04'], ['due' => '2026-12-04', 'done' => self::TODAY]];
        yield 'without a date' => [['who' => 'Jo'], ['due' => null, 'done' => self::TODAY]];
        yield 'again each week without a day' => [['again' => Again::Week], ['done' => self::TODAY, 'again' => Again::Week]];
        yield 'each week' => [
            ['begins' => '2026-11-30', 'due' => '2026-12-04', 'again' => Again::Week],
            ['begins' => '2026-12-07', 'due' => '2026-12-11', 'done' => null],
        ];
        yield 'each week, some weeks late' => [['due' => '2026-11-05', 'again' => Again::Week], ['due' => '2026-12-03', 'done' => null]];
        yield 'each week, due today' => [['due' => self::TODAY, 'again' => Again::Week], ['due' => '2026-12-07']];
        yield 'each month' => [['due' => '2026-11-30', 'again' => Again::Month], ['due' => '2026-12-30']];
        yield 'each month, late by two years' => [['due' => '2024-10-31', 'again' => Again::Month], ['due' => '2026-12-31']];
        yield 'each month, at the end of a long one' => [['due' => '2027-01-31', 'again' => Again::Month], ['due' => '2027-02-28']];
        yield 'each week, very late' => [['due' => '0001-01-01', 'again' => Again::Week], ['due' => '2026-12-07']];
    }

    /**
     * @param array<string, mixed> $work
     * @param array<string, mixed> $then
     */
    #[DataProvider('finished')]
    public function testWorkThatIsDoneIsOverOrComesAgain(array $work, array $then): void
    {
        $plan = self::plan('Tide', ['Tide' => $work]);
        $done = self::topic((new FinishWork([Build::id($plan, 'Tide')], self::TODAY))->apply($plan), 'Tide');
        self::assertSame($then, array_intersect_key(get_object_vars($done), $then));
    }

    public function testAMonthLaterIsTheSameDayOrTheLastOne(): void
    {
        self::assertSame('2028-02-29', Day::monthAfter('2028-01-31'));
        self::assertSame('2026-12-31', Day::monthAfter('2026-08-31', 4));
        self::assertSame('2027-01-15', Day::monthAfter('2026-12-15'));
    }

    public function testARangeThatEndsBeforeItBeginsIsRefusedInWords(): void
    {
        $plan = self::plan('Tide', ['Tide' => ['begins' => '2026-12-05']]);
        $id = Build::id($plan, 'Tide');
        self::assertSame('2026-12-05', self::topic((new SetWork([$id], ['due' => '2026-12-05']))->apply($plan), 'Tide')->due);
        $this->expectException(OperationRefused::class);
        $this->expectExceptionMessage('2026-12-05 to 2026-12-04 ends before it begins.');
        (new SetWork([$id], ['due' => '2026-12-04']))->apply($plan);
    }

    public function testTheDaysOfABranchMoveTogetherAndNoneTwice(): void
    {
        $plan = self::plan("Tide\n  Mud\n  Wall\nSand", [
            'Tide' => ['begins' => '2026-12-01', 'due' => '2026-12-20'],
            'Mud' => ['due' => '2026-12-31'],
            'Sand' => ['due' => '2026-12-20'],
        ]);
        $moved = (new ShiftWork([Build::id($plan, 'Mud'), Build::id($plan, 'Tide')], 3))->apply($plan);
        self::assertSame(['2026-12-04', '2026-12-23'], [self::topic($moved, 'Tide')->begins, self::topic($moved, 'Tide')->due]);
        self::assertSame([null, '2027-01-03'], [self::topic($moved, 'Mud')->begins, self::topic($moved, 'Mud')->due]);
        self::assertSame('2026-12-20', self::topic($moved, 'Sand')->due);
        self::assertSame('Moved the days of “Tide” on by 3 days', Wording::of(new ShiftWork([Build::id($plan, 'Tide')], 3), $plan));
        $this->expectException(OperationRefused::class);
        (new ShiftWork([Build::id($plan, 'Tide')], 3_000))->apply(self::plan('Tide', ['Tide' => ['due' => '9999-01-01']]));
    }

    public function testADayThatNoCalendarHasIsNoDay(): void
    {
        foreach (['2026-02-29', '2026-13-01', '26-01-01', '', '2026-1-1', "2026-01-01\n", '0000-00-00'] as $no) {
            try {
                Day::of($no);
                self::fail($no);
            } catch (InvalidValue $why) {
                self::assertNotSame('', $why->getMessage());
            }
        }
    }

    public function testWhatAJoinedTopicHadOfWorkStaysWhereTheOtherHasNone(): void
    {
        $mud = ['who' => 'Ola', 'due' => '2026-12-04', 'begins' => '2026-12-09'];
        $plan = self::plan("Tide\nMud", ['Tide' => ['who' => 'Jo'], 'Mud' => $mud]);
        $joined = (new JoinTopics(Build::id($plan, 'Tide'), Build::id($plan, 'Mud')))->apply($plan);
        $topic = self::topic($joined, 'Tide Mud');
        self::assertSame(['Jo', '2026-12-04', '2026-12-09'], [$topic->who, $topic->due, $topic->begins]);
    }

    public function testANameIsKnownByItsInitials(): void
    {
        $initials = static fn(string $who): string => Work::initials($who);
        self::assertSame(['JT', 'O', 'AP', 'ÄÖ', ''], array_map($initials, ['Jo Tern', 'Ola', 'anna-maria van pell', 'ärla ödmark', ' ']));
    }

    /** The page says the same by the same table (tests/js/work.test.js). */
    public function testAPersonHasOneSign(): void
    {
        foreach (json_decode((string) file_get_contents(\dirname(__DIR__) . '/fixtures/people.json'), true) as $person) {
            ['who' => $who, 'initials' => $initials, 'dye' => $dye] = $person;
            self::assertSame([$initials, $dye], [Work::initials($who), Work::dye($who)], $who);
        }
    }

    public function testDaysAreThoseThatThereAreInTheirOrder(): void
    {
        $days = static fn(?string $begins, ?string $due): ?array => Work::days(new Topic('a', 'A', begins: $begins, due: $due));
        self::assertNull($days(null, null));
        self::assertSame(['2026-12-04', '2026-12-04'], $days(null, '2026-12-04'));
        self::assertSame(['2026-12-01', '2026-12-01'], $days('2026-12-01', null));
        self::assertSame(['2026-12-01', '2026-12-04'], $days('2026-12-01', '2026-12-04'));
        self::assertSame(['2026-12-01', '2026-12-04'], $days('2026-12-04', '2026-12-01'), 'Two people have set one each.');
    }

    public function testOutlineFilesAndTablesCarryTheWork(): void
    {
        $work = ['who' => 'Jo Tern', 'begins' => '2026-12-01', 'due' => '2026-12-04', 'done' => '2026-12-03', 'again' => Again::Week];
        $plan = self::plan("Tide\n  Mud", ['Mud' => $work]);
        foreach ([[new OpmlWriter(), new OpmlReader()], [new CsvWriter(), new CsvReader()]] as [$writer, $reader]) {
            $file = fopen('php://temp', 'w+') ?: throw new \RuntimeException('No stream.');
            $writer->write($plan, new Choices(), $file, sys_get_temp_dir());
            rewind($file);
            $back = self::topic($reader->read($file, new Options(), new CountedIds())->plan, 'Mud');
            self::assertSame($work, array_intersect_key(get_object_vars($back), $work));
        }
    }

    public function testTheMapSaysWhoAndByWhen(): void
    {
        $plan = self::plan("Tide\nMud\nSand", [
            'Tide' => ['who' => 'Jo Tern', 'due' => '2026-12-04'],
            'Mud' => ['due' => '2026-12-04', 'done' => '2026-12-03'],
        ]);
        $file = fopen('php://temp', 'w+') ?: throw new \RuntimeException('No stream.');
        Format::Svg->writer()->write($plan, new Choices(), $file, sys_get_temp_dir());
        rewind($file);
        $text = strip_tags((string) stream_get_contents($file));
        self::assertMatchesRegularExpression('/Tide\s*JT\s*by 4 December/', $text);
        self::assertMatchesRegularExpression('/Mud\s*done/', $text);
        self::assertStringNotContainsString('2026', $text);
    }

    public function testATableWhoseDatesAreNoneIsTakenInWithoutThem(): void
    {
        $file = fopen('php://temp', 'w+') ?: throw new \RuntimeException('No stream.');
        fwrite($file, "level,title,due,who\n1,Tide,soon,Jo\n1,Mud,2026-12-04,Ola\n");
        rewind($file);
        $read = (new CsvReader())->read($file, new Options(), new CountedIds());
        self::assertSame([null, 'Jo'], [self::topic($read->plan, 'Tide')->due, self::topic($read->plan, 'Tide')->who]);
        self::assertSame('2026-12-04', self::topic($read->plan, 'Mud')->due);
        self::assertCount(1, $read->repairs);
    }

    // ---- The schedule

    /** @return array<string, string> title → “from to”, with a star where the days are its own, and what else is said of it */
    private static function drawn(Plan $plan): array
    {
        $drawn = [];
        foreach (Schedule::of($plan, self::TODAY)->stretches as $one) {
            $drawn[$plan->topic($one->topic)->title] = "{$one->from} {$one->to}" . ($one->isOwn ? ' *' : '')
                . ($one->isLate ? ' late' : '') . ($one->isDone ? ' done' : '') . ($one->isReversed ? ' reversed' : '')
                . ($one->outside === null ? '' : " outside {$plan->topic($one->outside)->title}");
        }

        return $drawn;
    }

    public function testASectionWithoutDaysReachesOverThoseOfItsParts(): void
    {
        $plan = self::plan("Tide\n  Mud\n    Worms\n  Wall\nSand\nWind", [
            'Worms' => ['begins' => '2026-12-01', 'due' => '2026-12-03'],
            'Wall' => ['due' => '2026-12-10', 'done' => '2026-11-28'],
            'Sand' => ['who' => 'Jo'],
        ]);
        self::assertSame([
            'Tide' => '2026-12-01 2026-12-10',
            'Mud' => '2026-12-01 2026-12-03',
            'Worms' => '2026-12-01 2026-12-03 *',
            'Wall' => '2026-12-10 2026-12-10 * done',
        ], self::drawn($plan));
        self::assertSame(1, Schedule::of($plan, self::TODAY)->undated);
    }

    public function testAPartThatDoesNotLieWithinTheDaysAboveItIsToldSo(): void
    {
        $plan = self::plan("Tide\n  Mud\n    Worms\n    Crabs\n  Wall", [
            'Tide' => ['begins' => '2026-12-01', 'due' => '2026-12-10'],
            'Worms' => ['begins' => '2026-12-09', 'due' => '2026-12-11'],
            'Crabs' => ['begins' => '2026-12-08', 'due' => '2026-12-02'],
            'Wall' => ['due' => '2026-11-29'],
        ]);
        self::assertSame([
            'Tide' => '2026-12-01 2026-12-10 *',
            'Mud' => '2026-12-02 2026-12-11',
            'Worms' => '2026-12-09 2026-12-11 * outside Tide',
            'Crabs' => '2026-12-02 2026-12-08 * reversed',
            'Wall' => '2026-11-29 2026-11-29 * late outside Tide',
        ], self::drawn($plan));
    }

    public function testItIsShownInWholeWeeksWithTodayAndAllWorkInThem(): void
    {
        $empty = Schedule::of(self::plan('Tide'), self::TODAY);
        self::assertSame([[], '2026-11-30', '2027-01-17'], [$empty->stretches, $empty->from, $empty->to]);
        $long = Schedule::of(self::plan("Tide\nMud", ['Tide' => ['due' => '2026-10-01'], 'Mud' => ['due' => '2027-06-30']]), self::TODAY);
        self::assertSame(['2026-09-28', '2027-07-11'], [$long->from, $long->to]);
        $mistyped = Schedule::of(self::plan('Tide', ['Tide' => ['begins' => '0202-10-01', 'due' => '9026-10-01']]), self::TODAY);
        self::assertSame([1, 7], [Day::weekday($mistyped->from), Day::weekday($mistyped->to)]);
        self::assertLessThan(2_300, Day::between($mistyped->from, $mistyped->to));
    }

    public function testWorkThatComesAgainIsDrawnEachTime(): void
    {
        $plan = self::plan('Tide', ['Tide' => ['begins' => '2026-12-29', 'due' => '2026-12-31', 'again' => Again::Month]]);
        [$one] = Schedule::of($plan, self::TODAY)->stretches;
        self::assertInstanceOf(Stretch::class, $one);
        self::assertSame(
            [['2027-01-29', '2027-01-31'], ['2027-02-28', '2027-02-28'], ['2027-03-29', '2027-03-31']],
            $one->later('2027-03-30'),
        );
    }
}
