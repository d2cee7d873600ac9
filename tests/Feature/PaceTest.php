<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Access\Role;
use App\Models\Share;
use Embrel\Plan\Plan;
use Embrel\RichText\Node;
use Illuminate\Support\Facades\DB;

/** Words of each day, by whom and where, and the pace that comes of them. */
final class PaceTest extends TestCase
{
    public function testWordsAreCountedOnTheDayThatItIsWhereThePersonIs(): void
    {
        $this->user->update(['time_zone' => 'Pacific/Auckland']);
        // In Auckland it is the 2nd by then, and summer there.
        $this->travelTo('2026-12-01 12:30:00');
        $this->write('A1', 'Mud is deep.');
        $this->travelTo('2026-12-02 10:30:00');
        $this->write('A1', 'Mud is deep and cold.');
        $this->write('B', 'Wall.');
        $this->travelTo('2026-12-02 11:30:00');
        $this->write('A1', 'Mud.');
        self::assertSame(
            [
                ['2026-12-02', 'A', 5, 0],
                ['2026-12-02', 'B', 1, 0],
                ['2026-12-03', 'A', 0, 4],
            ],
            $this->kept(),
        );
    }

    public function testWhatOnePersonHasWrittenTodayIsToldToThatPersonAlone(): void
    {
        $this->travelTo('2026-12-01 09:00:00');
        $this->write('A1', 'Mud is deep and cold.');
        $this->travelTo('2026-12-02 09:00:00');
        $this->write('A1', 'Mud is deep.');
        $this->write('B', 'Wall.');
        $address = "/plans/{$this->row->id}/written-today";
        self::assertSame(['added' => 1, 'taken' => 2], $this->actingAs($this->user)->getJson($address)->assertOk()->json());
        $other = $this->account('ben');
        Share::query()->create(['plan_id' => $this->row->id, 'user_id' => $other->id, 'role' => Role::Writes]);
        self::assertSame(['added' => 0, 'taken' => 0], $this->actingAs($other)->getJson($address)->assertOk()->json());
    }

    public function testANoteSaysWhoElseWroteInItAMomentAgo(): void
    {
        $other = $this->account('ben');
        Share::query()->create(['plan_id' => $this->row->id, 'user_id' => $other->id, 'role' => Role::Writes]);
        $this->write('A1', 'Mud is deep.');
        $address = "/plans/{$this->row->id}/topics/{$this->id('A1')}/note";
        self::assertNull($this->actingAs($this->user)->getJson($address)->assertOk()->json('by'));
        self::assertSame($this->user->name, $this->actingAs($other)->getJson($address)->assertOk()->json('by'));
        $this->travel(2)->minutes();
        self::assertNull($this->actingAs($other)->getJson($address)->assertOk()->json('by'));
    }

    public function testWhatOnlyMovesOrIsSetIsNotWritten(): void
    {
        $this->write('A1', 'Mud is deep.');
        $before = $this->kept();
        $this->send(['type' => 'move', 'ids' => [$this->id('A1')], 'at' => ['parent' => $this->id('B'), 'after' => null]])->assertOk();
        $this->send(['type' => 'retitle', 'topic' => $this->id('A1'), 'title' => 'Called otherwise'])->assertOk();
        $this->send(['type' => 'target', 'ids' => [$this->id('C')], 'value' => 50])->assertOk();
        self::assertSame($before, $this->kept());
        $this->send(['type' => 'remove', 'ids' => [$this->id('B')]])->assertOk();
        self::assertSame([3, 3], [array_sum(array_column($this->kept(), 2)), array_sum(array_column($this->kept(), 3))]);
        $this->step('undo')->assertOk();
        self::assertSame([6, 3], [array_sum(array_column($this->kept(), 2)), array_sum(array_column($this->kept(), 3))]);
        $this->send(['type' => 'move', 'ids' => [$this->id('C')], 'at' => ['parent' => Plan::TRAY, 'after' => null]]);
        $this->write('C', 'Loose words.');
        self::assertSame(3, $this->pace()['today'], 'what is loose is not in the text');
    }

    public function testEachPersonHasDaysOfTheirOwnAndThePaceIsOfAll(): void
    {
        $this->travelTo('2026-11-30 09:00:00');
        $this->send(['type' => 'plan', 'set' => ['target' => 103, 'due' => '2026-12-09']]);
        $other = $this->account('ben');
        Share::query()->create(['plan_id' => $this->row->id, 'user_id' => $other->id, 'role' => Role::Writes]);
        $this->write('A1', 'Mud is deep.');
        self::assertSame(['on-the-way', '11 words a day'], [$this->pace()['state'], $this->pace()['head']]);
        $this->putJson("/plans/{$this->row->id}/writing-days", ['weekdays' => [1, 2, 3, 4, 5], 'off' => [['2026-12-01', '2026-12-02']]])
            ->assertNoContent();
        self::assertSame('18 words a day', $this->pace()['head']);
        $this->actingAs($other);
        self::assertSame(['11 words a day', 3], [$this->pace()['head'], $this->pace()['today']]);
        $this->write('B', 'Two words.');
        self::assertSame(5, $this->pace()['today']);
        self::assertSame([[$this->user->id, 3], [$other->id, 2]], array_map(
            static fn(object $row): array => [(int) $row->user_id, (int) $row->added],
            DB::table('written_words')->orderBy('user_id')->get()->all(),
        ));
        self::assertSame('A2', $this->plan(false)->topic($this->pace()['next']['topic'])->title);
    }

    public function testDaysThatCannotBeAreRefusedInWords(): void
    {
        $put = fn(mixed $body) => $this->putJson("/plans/{$this->row->id}/writing-days", $body)->assertStatus(422)->json('message');
        self::assertStringContainsString('ends before it begins', $put(['weekdays' => [1], 'off' => [['2026-12-27', '2026-12-24']]]));
        self::assertStringContainsString('is no date', $put(['weekdays' => [1], 'off' => [['2026-02-30', '2026-03-01']]]));
        foreach ([[], ['weekdays' => 'all'], ['weekdays' => [9]]] as $bad) {
            $put($bad);
        }
        foreach (['none', [1]] as $off) {
            $put(['weekdays' => [1], 'off' => $off]);
        }
        self::assertSame([1, 2, 3, 4, 5, 6, 7], $this->pace()['days']['weekdays'], 'nothing was kept');
    }

    /** @return array<string, mixed> */
    private function pace(): array
    {
        return $this->getJson("/plans/{$this->row->id}/findings")->assertOk()->json('pace');
    }

    /** @return list<array{string, string, int, int}> day, section, added, taken */
    private function kept(): array
    {
        $topics = $this->plan(false)->topics;

        return array_map(
            static fn(object $row): array => [$row->day, $topics[$row->section_id]->title ?? '', (int) $row->added, (int) $row->taken],
            DB::table('written_words')->orderBy('day')->orderBy('section_id')->get()->all(),
        );
    }

    private function write(string $title, string $text): void
    {
        $id = $this->id($title);
        $known = array_keys($this->plan()->topic($id)->note->blocks ?? []);
        $block = $known[0] ?? self::newId();
        $put = [Node::plain($text, (string) $block)->toArray()];
        $this->send(['type' => 'note', 'topic' => $id, 'put' => $put, 'remove' => [], 'order' => [$block]])
            ->assertOk()
            ->assertJsonPath('refused', []);
    }
}
