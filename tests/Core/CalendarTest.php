<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Calendar\BroughtBack;
use Embrel\Calendar\Calendar;
use Embrel\Calendar\Days;
use Embrel\Calendar\DaysFile;
use Embrel\Calendar\DaysTable;
use Embrel\Id\CountedIds;
use Embrel\Plan\Again;
use Embrel\Plan\Day;
use Embrel\Plan\Plan;
use Embrel\Reader\Unreadable;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;

/** The days of a plan in calendars and tables, out and back. */
final class CalendarTest extends TestCase
{
    private const PLAN = '04000000000000000000000001';
    private const STAMP = '20261130T080000Z';

    private static function plan(): Plan
    {
        $plan = Build::plan("Why, and how; “the wall”\n  Mud\nWorms in the mud of the upper marsh, counted each month at low water\n  Sand\nNobody");
        foreach ([
            'Why, and how; “the wall”' => [
                'begins' => '2026-12-01',
                'due' => '2026-12-10',
                'who' => 'Jo Tern',
                'labels' => ['field', 'archive'],
            ],
            'Mud' => ['due' => '2026-12-04', 'done' => '2026-12-03'],
            'Worms in the mud of the upper marsh, counted each month at low water' => ['begins' => '2027-01-30', 'again' => Again::Month],
            'Sand' => ['begins' => '2026-12-30', 'due' => '2026-12-31', 'again' => Again::Week, 'who' => '=SUM(A1)'],
        ] as $title => $set) {
            $plan = $plan->with($plan->topic(Build::id($plan, $title))->with($set));
        }

        return $plan;
    }

    public function testAnotherReaderFindsTheDaysAsTheyAre(): void
    {
        $file = tempnam(sys_get_temp_dir(), 'embrel-calendar');
        file_put_contents((string) $file, Calendar::write(self::plan(), self::PLAN, self::STAMP));
        exec('cd ' . escapeshellarg(__DIR__) . ' && node judge-calendar.mjs ' . escapeshellarg((string) $file) . ' 2>&1', $said);
        unlink((string) $file);
        self::assertSame([
            '1 Why, and how; “the wall” | 2026-12-01 | 2026-12-11 | true',
            '1.1 Mud | 2026-12-04 | 2026-12-05 | true',
            '2 Worms in the mud of the upper marsh, counted each month at low water | 2027-01-30 | 2027-01-31 | true'
                . ' | 2027-01-30 | 2027-02-28 | 2027-03-30',
            '2.1 Sand | 2026-12-30 | 2027-01-01 | true | 2026-12-30 | 2027-01-06 | 2027-01-13',
        ], $said);
    }

    public function testWhatGoesOutComesBackAndChangesNothing(): void
    {
        $plan = self::plan();
        $calendar = Calendar::write($plan, self::PLAN, self::STAMP);
        self::assertSame($calendar, Calendar::write($plan, self::PLAN, self::STAMP));
        foreach ([Calendar::read($calendar, 'Europe/Berlin'), DaysTable::read(DaysTable::write($plan))] as $read) {
            $back = BroughtBack::of($plan, $read, new CountedIds());
            self::assertSame([[], [], 4], [$back->changed, $back->new, $back->same]);
            self::assertNull($back->operation());
        }
    }

    public function testDaysThatWereMovedElsewhereAreFoundAndWhatIsNewIsALooseIdea(): void
    {
        $plan = self::plan();
        $moved = strtr(Calendar::write($plan, self::PLAN, self::STAMP), [
            'DTSTART;VALUE=DATE:20261204' => 'DTSTART;VALUE=DATE:20261206',
            'DTEND;VALUE=DATE:20261205' => 'DTEND;VALUE=DATE:20261209',
            'END:VCALENDAR' => "BEGIN:VEVENT\r\nUID:dentist\r\nDTSTART;VALUE=DATE:20261215\r\nSUMMARY:Ask Pell\r\nEND:VEVENT\r\nEND:VCALENDAR",
        ]);
        $back = BroughtBack::of($plan, Calendar::read($moved, 'UTC'), new CountedIds('05'));
        self::assertSame(['Mud'], array_column($back->changed, 'title'));
        self::assertSame(['begins' => '2026-12-06', 'due' => '2026-12-08'], $back->changed[0]['set']);
        $after = $back->operation()?->apply($plan) ?? self::fail('It changes something.');
        self::assertSame('2026-12-08', $after->topic(Build::id($after, 'Mud'))->due);
        $idea = $after->topic(Build::id($after, 'Ask Pell'));
        self::assertSame(['2026-12-15', Plan::TRAY], [$idea->due, $after->parent($idea->id)]);
    }

    public function testWhatACalendarOrATableDoesNotSayStaysAsItIs(): void
    {
        $plan = self::plan();
        $mud = $plan->topic(Build::id($plan, 'Mud'));
        $calendar = Calendar::write($plan->with($mud->with(['done' => null])), self::PLAN, self::STAMP);
        self::assertSame([], BroughtBack::of($plan, Calendar::read($calendar, 'UTC'), new CountedIds('05'))->changed, 'It was done since.');
        $table = "id,title,due\n{$mud->id},Mud,2026-12-04\n";
        self::assertSame([], BroughtBack::of($plan, DaysTable::read($table), new CountedIds('05'))->changed);
        $sand = $plan->topic(Build::id($plan, 'Sand'));
        $table = "id,title,begins,due,who\n{$sand->id},Sand,2026-12-30,2026-12-31,\n";
        $due = "id,title,due\n{$sand->id},Sand,2027-01-05\n";
        self::assertSame([['due' => '2027-01-05']], array_column(BroughtBack::of($plan, DaysTable::read($due), new CountedIds('05'))->changed, 'set'));
        self::assertSame([['who' => '']], array_column(BroughtBack::of($plan, DaysTable::read($table), new CountedIds('05'))->changed, 'set'));
    }

    /** @return iterable<string, array{string, string, list<array{string, string|null, string|null}>}> lines of an entry, zone → title, days */
    public static function entries(): iterable
    {
        $one = static fn(string ...$lines): string => implode("\r\n", ['BEGIN:VEVENT', 'UID:a', 'SUMMARY:Tide', ...$lines, 'END:VEVENT']);
        $tide = static fn(?string $from, ?string $to): array => [['Tide', $from, $to]];
        $first = $tide('2026-12-01', '2026-12-01');
        yield 'a whole day without an end' => [$one('DTSTART;VALUE=DATE:20261201'), 'UTC', $first];
        yield 'an hour of another zone' => [
            $one('DTSTART:20261201T233000Z', 'DTEND:20261202T003000Z'),
            'Europe/Berlin',
            $tide('2026-12-02', '2026-12-02'),
        ];
        yield 'an hour of a zone by name' => [
            $one('DTSTART;TZID=Pacific/Auckland:20261202T080000', 'DTEND;TZID=Pacific/Auckland:20261202T090000'),
            'America/New_York',
            $first,
        ];
        yield 'an hour of no zone' => [$one('DTSTART:20261201T233000'), 'Asia/Tokyo', $first];
        yield 'a whole day is one in each zone' => [$one('DTSTART;VALUE=DATE:20261201'), 'Pacific/Kiritimati', $first];
        yield 'until midnight' => [$one('DTSTART:20261201T100000Z', 'DTEND:20261202T000000Z'), 'UTC', $first];
        yield 'over the night in which clocks change' => [
            $one('DTSTART;TZID=Europe/Berlin:20261024T220000', 'DURATION:PT6H'),
            'Europe/Berlin',
            $tide('2026-10-24', '2026-10-25'),
        ];
        $three = $tide('2026-12-01', '2026-12-03');
        yield 'three days by their length' => [$one('DTSTART;VALUE=DATE:20261201', 'DURATION:P3D'), 'UTC', $three];
        yield 'an end before its start' => [
            $one('DTSTART;VALUE=DATE:20261201', 'DTEND;VALUE=DATE:20261125'),
            'UTC',
            $first,
        ];
        yield 'no days' => [$one(), 'UTC', $tide(null, null)];
        yield 'days that are none' => [$one('DTSTART;VALUE=DATE:20269999', 'DURATION:soon'), 'UTC', $tide(null, null)];
        yield 'longer than any calendar' => [$one('DTSTART;VALUE=DATE:20261201', 'DURATION:P99999999999D'), 'UTC', $first];
        yield 'called off' => [$one('DTSTART;VALUE=DATE:20261201', 'STATUS:CANCELLED'), 'UTC', []];
        yield 'one time of many' => [$one('DTSTART;VALUE=DATE:20261201', 'RECURRENCE-ID;VALUE=DATE:20261208'), 'UTC', []];
        yield 'a thing to do' => [
            "BEGIN:VTODO\r\nUID:b\r\nSUMMARY:Tide\r\nDUE;VALUE=DATE:20261204\r\nEND:VTODO",
            'UTC',
            [['Tide', null, '2026-12-04']],
        ];
        yield 'broken lines' => [
            "BEGIN:VEVENT\nUID:a\nthis is no line\nSUMMARY:Ti\n de\nDTSTART;VALUE=DATE:20261201\nX;;=:\nEND:VEVENT",
            'UTC',
            $first,
        ];
    }

    /** @param list<array{string, string|null, string|null}> $days */
    #[DataProvider('entries')]
    public function testEntriesOfOtherPrograms(string $entry, string $zone, array $days): void
    {
        $read = Calendar::read("BEGIN:VCALENDAR\r\nVERSION:2.0\r\n{$entry}\r\nEND:VCALENDAR\r\n", $zone);
        self::assertSame($days, array_map(static fn(Days $one): array => [$one->title, $one->from, $one->to], $read));
    }

    public function testHowOftenAndWhetherItIsDoneIsReadAsFarAsItIsKept(): void
    {
        $read = static fn(string $line): Days => Calendar::read(
            "BEGIN:VCALENDAR\r\nBEGIN:VTODO\r\nSUMMARY:T\r\nDTSTART;VALUE=DATE:20261201\r\n{$line}\r\nEND:VTODO\r\nEND:VCALENDAR\r\n",
            'Europe/Berlin',
        )[0];
        self::assertSame(Again::Week, $read('RRULE:FREQ=WEEKLY;BYDAY=TU')->again);
        self::assertSame(Again::Month, $read('RRULE:FREQ=MONTHLY;INTERVAL=1')->again);
        self::assertNull($read('RRULE:FREQ=WEEKLY;INTERVAL=2')->again);
        self::assertNull($read('RRULE:FREQ=YEARLY')->again);
        self::assertSame('2026-12-03', $read('COMPLETED:20261202T233000Z')->done);
    }

    public function testWhatIsNoCalendarOrTableIsRefusedInWords(): void
    {
        $folded = [str_repeat("BE\n GIN:VEVENT\r", 50_000), str_repeat("begin:vevent\r", 50_000)];
        $deep = str_repeat("BEGIN:VEVENT\r\n", 100_000);
        $others = ['', 'hello', "BEGIN:VCARD\r\nEND:VCARD\r\n", "BEGIN:VCALENDAR\r\nBEGIN:VEVENT\r\n", random_bytes(300)];
        foreach ([...$others, $deep, ...$folded] as $text) {
            self::assertRefused(static fn(): array => Calendar::read($text, 'UTC'));
        }
        foreach (["a,b\n1,2", "title,due\nTide,tomorrow", "title,begins,due\nTide,2026-12-05,2026-12-04", ''] as $text) {
            self::assertRefused(static fn(): array => DaysTable::read($text));
        }
    }

    /** In words, and nothing else. */
    private static function assertRefused(\Closure $read): void
    {
        try {
            $read();
            self::fail('It was read.');
        } catch (Unreadable $why) {
            self::assertStringEndsWith('.', $why->getMessage());
        }
    }

    public function testATableThatASpreadsheetWroteInUtf16UnderNamesOfItsOwnIsRead(): void
    {
        $in = fopen('php://memory', 'w+') ?: self::fail('No stream.');
        fwrite($in, "\xFF\xFE" . mb_convert_encoding("Titel\tStart\tDeadline\nWürmer\t2026-12-01\t2026-12-04\n", 'UTF-16LE', 'UTF-8'));
        rewind($in);
        [$read] = DaysFile::read($in, 'UTC');
        self::assertSame(['Würmer', '2026-12-01', '2026-12-04'], [$read->title, $read->from, $read->to]);
    }

    public function testATableHoldsNothingThatASpreadsheetCarriesOutAndIsReadWithSemicolonsToo(): void
    {
        $plan = self::plan();
        $table = DaysTable::write($plan);
        self::assertStringContainsString(",'=SUM(A1),", $table);
        self::assertStringNotContainsString('Nobody', $table);
        $read = DaysTable::read("\u{FEFF}Title;Due;Who\nMud;2026-12-04;Ola\n;;\n");
        self::assertCount(1, $read);
        [$mud] = $read;
        self::assertSame(['Mud', '2026-12-04', 'Ola', null], [$mud->title, $mud->to, $mud->who, $mud->topic]);
    }

    /** Property: whatever days topics have, they come back as they were. */
    public function testDaysAtRandomComeBack(): void
    {
        mt_srand(11);
        for ($round = 0; $round < 60; ++$round) {
            $plan = Build::plan("A\n  B\nC\nD");
            foreach (['A', 'B', 'C', 'D'] as $title) {
                $from = Day::after('2026-01-01', mt_rand(0, 900));
                $plan = $plan->with($plan->topic(Build::id($plan, $title))->with([
                    'begins' => mt_rand(0, 2) === 0 ? null : $from,
                    'due' => mt_rand(0, 2) === 0 ? null : Day::after($from, mt_rand(0, 40)),
                    'again' => [null, ...Again::cases()][mt_rand(0, 2)],
                    'who' => ['', 'Jo Tern', 'Ä; \\, “o”'][mt_rand(0, 2)],
                ]));
            }
            $calendar = Calendar::write($plan, self::PLAN, self::STAMP);
            foreach ([Calendar::read($calendar, 'Asia/Tokyo'), DaysTable::read(DaysTable::write($plan))] as $read) {
                self::assertSame([], BroughtBack::of($plan, $read, new CountedIds())->changed, "Round {$round}");
            }
        }
    }
}
