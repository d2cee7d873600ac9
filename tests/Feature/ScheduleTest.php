<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

/** The work on a plan over HTTP: kept, told, handed out and read back. */
final class ScheduleTest extends TestCase
{
    /** @param array<string, mixed> $set */
    private function work(string $title, array $set): TestResponse
    {
        return $this->send(['type' => 'work', 'ids' => [$this->id($title)], 'set' => $set]);
    }

    /** @return TestResponse */
    private function read(string $text, string $name = 'days.ics'): TestResponse
    {
        $file = UploadedFile::fake()->createWithContent($name, $text);

        return $this->actingAs($this->user)->post("/plans/{$this->row->id}/days/read", ['file' => $file], ['Accept' => 'application/json']);
    }

    /** @return array<string, mixed> */
    private function days(): array
    {
        return $this->actingAs($this->user)->getJson("/plans/{$this->row->id}/days")->assertOk()->json();
    }

    public function testWorkIsKeptToldUndoneAndShownByThePersonsOwnDay(): void
    {
        $this->user->update(['time_zone' => 'Pacific/Auckland']);
        $this->travelTo('2026-12-01 12:30:00');
        $this->work('A1', ['who' => 'Jo Tern', 'begins' => '2026-12-01', 'due' => '2026-12-01', 'again' => 'week'])->assertOk();
        $kept = DB::table('topics')->where('id', $this->id('A1'))->first(['who', 'begins', 'due', 'done', 'again']);
        self::assertSame(['Jo Tern', '2026-12-01', '2026-12-01', null, 'week'], array_values((array) $kept));

        $days = $this->days();
        self::assertSame('2026-12-02', $days['today']);
        $own = array_values(array_filter($days['stretches'], fn(array $one): bool => $one['id'] === $this->id('A1')));
        self::assertTrue($own[0]['late'] ?? false);
        self::assertSame(['2026-12-08', '2026-12-08'], $own[0]['times'][0]);
        $codes = array_column($this->actingAs($this->user)->getJson("/plans/{$this->row->id}/findings")->json('groups'), 'rule');
        self::assertContains('work-late', $codes);

        $this->send(['type' => 'finish', 'ids' => [$this->id('A1')], 'on' => '2026-12-02'])->assertOk();
        self::assertSame('2026-12-08', DB::table('topics')->where('id', $this->id('A1'))->value('due'));
        $this->step('undo')->assertOk();
        self::assertSame('2026-12-01', DB::table('topics')->where('id', $this->id('A1'))->value('due'));
    }

    public function testWhatCannotBeIsRefusedInWordsAndNothingChanges(): void
    {
        $this->work('A1', ['due' => '2026-12-04'])->assertOk();
        $revision = $this->row->refresh()->revision;
        $refused = $this->work('A1', ['begins' => '2026-12-05'])->assertOk()->json('refused');
        self::assertSame('2026-12-05 to 2026-12-04 ends before it begins.', $refused[0]['message']);
        $bad = [['due' => '2026-02-30'], ['due' => 'soon'], ['title' => 'x'], ['who' => str_repeat('x', 61)], [], ['again' => 'year']];
        foreach ($bad as $set) {
            $status = $this->work('A1', $set)->getStatusCode();
            self::assertSame(422, $status, (string) json_encode($set));
        }
        $this->send(['type' => 'shift', 'ids' => [$this->id('A')], 'days' => 1_000_000])->assertUnprocessable();
        self::assertSame($revision, $this->row->refresh()->revision);
    }

    public function testTheDaysGoOutAndWhatComesBackIsToldBeforeItIsDone(): void
    {
        $this->travelTo('2026-11-30 09:00:00');
        $this->work('A1', ['due' => '2026-12-04', 'who' => 'Jo Tern'])->assertOk();
        $plan = "/plans/{$this->row->id}/days";
        $calendar = $this->actingAs($this->user)->get("{$plan}/calendar")->assertOk();
        $calendar->assertHeader('Content-Type', 'text/calendar; charset=utf-8');
        $table = $this->actingAs($this->user)->get("{$plan}/table")->assertOk()->getContent();
        self::assertStringContainsString('attachment; filename="schedule.ics"', (string) $calendar->headers->get('Content-Disposition'));
        self::assertNull($this->read((string) $calendar->getContent())->assertOk()->json('operation'));
        self::assertNull($this->read((string) $table, 'days.csv')->assertOk()->json('operation'));

        $back = $this->read(str_replace('2026-12-04', '2026-12-14', (string) $table), 'days.csv')->assertOk();
        self::assertSame('by 14 December', $back->json('changed.0.says'));
        $this->send($back->json('operation'))->assertOk();
        self::assertSame('2026-12-14', DB::table('topics')->where('id', $this->id('A1'))->value('due'));
    }

    public function testFilesThatAreNoneAreRefusedInWords(): void
    {
        self::assertSame('The file is empty: there is nothing to take in.', $this->read('')->assertUnprocessable()->json('message'));
        $latin = "title,due\nW\xFCrmer,2026-12-04\n";
        self::assertStringContainsString('UTF-8', $this->read($latin, 'days.csv')->assertUnprocessable()->json('message'));
        $broken = ["BEGIN:VCALENDAR\r\n", 'BEGIN:VEVENT', "\0\xFF\xFE", 'title,due' . "\n" . 'Mud,yesterday', ''];
        foreach ($broken as $text) {
            self::assertNotSame('', $this->read($text)->assertUnprocessable()->json('message'));
        }
        $entry = "BEGIN:VEVENT\r\nSUMMARY:x\r\nDTSTART;VALUE=DATE:20261201\r\nEND:VEVENT\r\n";
        $many = "BEGIN:VCALENDAR\r\n" . str_repeat($entry, 5_001) . "END:VCALENDAR\r\n";
        self::assertStringContainsString('5,000', $this->read($many)->assertUnprocessable()->json('message'));
    }
}
