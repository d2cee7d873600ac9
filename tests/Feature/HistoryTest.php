<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Store\History;
use App\Store\Snapshots;
use Embrel\Difference\DifferenceForm;
use Embrel\Plan\Plan;
use Embrel\Plan\PlanForm;
use Embrel\Shape;
use Illuminate\Support\Facades\DB;
use Tests\Core\Build\Build;

final class HistoryTest extends TestCase
{
    /** @return array<string, mixed> */
    private function note(string $topic, string $text): array
    {
        return [
            'type' => 'note',
            'topic' => $topic,
            'put' => [['type' => 'paragraph', 'attrs' => ['id' => self::newId()], 'content' => [['type' => 'text', 'text' => $text]]]],
            'remove' => [],
            'order' => null,
            'was' => [],
        ];
    }

    /**
     * Changes of every sort, one after another.
     *
     * @return array<int, string> revision → what the plan looked like then
     */
    private function changes(): array
    {
        $states = [$this->row->refresh()->revision => $this->picture()];
        $source = self::newId();
        $changes = [
            fn(): array => $this->note($this->id('A1'), 'Words that must not be lost'),
            fn(): array => ['type' => 'move', 'ids' => [$this->id('A1')], 'at' => ['parent' => $this->id('B'), 'after' => null]],
            fn(): array => ['type' => 'remove', 'ids' => [$this->id('B')]],
            fn(): array => [
                'type' => 'compound',
                'operations' => [
                    ['type' => 'source', 'sources' => [['id' => $source, 'title' => 'Pell, Tides and Walls']]],
                    ['type' => 'remove', 'ids' => [$this->id('C')]],
                ],
            ],
            fn(): array => ['type' => 'plan', 'set' => ['numbering' => 'essay', 'subtitle' => 'Second try']],
            fn(): array => ['type' => 'wrap', 'ids' => [$this->id('A2')], 'new' => self::newId(), 'title' => 'Around'],
            fn(): array => ['type' => 'flag', 'ids' => [$this->id('A'), $this->id('Around')], 'value' => 'waiting'],
            fn(): array => ['type' => 'retitle', 'topic' => Plan::ROOT, 'title' => 'Another title'],
        ];
        foreach ($changes as $change) {
            $answer = $this->send($change())->assertOk()->assertJsonPath('refused', []);
            $states[$answer->json('revision')] = $this->picture();
        }

        return $states;
    }

    /** What a person could see of it; not what was removed. */
    private function picture(?Plan $plan = null): string
    {
        $form = PlanForm::toArray($plan ?? app(\App\Store\PlanStore::class)->whole($this->row->refresh()));
        $live = [];
        $bin = false;
        foreach ($form['topics'] as $row) {
            $bin = $bin || $row['id'] === Plan::BIN;
            if (!$bin) {
                $live[] = $row;
            }
        }

        return json_encode(['topics' => $live] + $form, JSON_PRETTY_PRINT | JSON_THROW_ON_ERROR);
    }

    public function testAnyPointOfThePastIsExactlyWhatItWas(): void
    {
        foreach ($this->changes() as $seq => $state) {
            $was = app(Snapshots::class)->at($this->row, $seq);
            self::assertNotNull($was);
            self::assertSame($state, $this->picture($was), "After change {$seq}.");
        }
    }

    public function testGoingBackIsANewChangeThatCanBeUndone(): void
    {
        $states = $this->changes();
        $last = end($states);
        $logged = DB::table('operations')->where('plan_id', $this->row->id)->count();
        foreach ([4, 1, 6] as $seq) {
            $this->post("/plans/{$this->row->id}/history/{$seq}/back")->assertRedirect();
            self::assertSame($states[$seq], $this->picture(), "Back at {$seq}.");
        }
        self::assertSame($logged + 3, DB::table('operations')->where('plan_id', $this->row->id)->count(), 'Nothing of the log is erased.');
        $this->step('undo')->assertOk();
        $this->step('undo')->assertOk();
        $this->step('undo')->assertOk();
        self::assertSame($last, $this->picture());
    }

    public function testTheHistoryNamesStepsWithTimeAndAuthor(): void
    {
        $this->changes();
        $this->get("/plans/{$this->row->id}/history")
            ->assertOk()
            ->assertSeeText('Wrote in the note of “A1”')
            ->assertSeeText('Moved “A1” into “B”')
            ->assertSeeText('Removed “B”')
            ->assertSeeText('Kept “Pell, Tides and Walls” as a source, and 1 more change')
            ->assertSeeText('Put “A2” under a new topic')
            ->assertSeeText('Started the plan')
            ->assertSeeText('Ada');
    }

    public function testAVersionIsKeptUnderANameReadAndMadeAPlan(): void
    {
        $states = $this->changes();
        $this->post("/plans/{$this->row->id}/history", ['name' => ''])->assertSessionHasErrors('name');
        $this->post("/plans/{$this->row->id}/history", ['name' => 'Before the <b>cut</b>'])->assertRedirect();
        $seq = $this->row->refresh()->revision;
        $this->get("/plans/{$this->row->id}/history")->assertSee('Before the &lt;b&gt;cut&lt;/b&gt;', false);
        $this->get("/plans/{$this->row->id}/history/2")
            ->assertOk()
            ->assertSee('Words that must not be lost');
        $this->get("/plans/{$this->row->id}/history/999")->assertNotFound();
        $this->send(['type' => 'remove', 'ids' => [$this->id('A')]])->assertOk();
        $address = $this->post("/plans/{$this->row->id}/history/{$seq}/plan")
            ->assertRedirect()
            ->headers->get('Location');
        $copy = \App\Models\Plan::query()->findOrFail(basename((string) $address));
        self::assertStringStartsWith('Another title (as of ', $copy->title);
        self::assertSame("A\n  Around\n    A2", Build::outline(app(\App\Store\PlanStore::class)->load($copy)));
        self::assertNotSame(end($states), '');
    }

    public function testSnapshotsBoundTheWayBack(): void
    {
        foreach (range(1, 6) as $round) {
            $this->send(
                ...array_map(fn(int $i): array => ['type' => 'retitle', 'topic' => $this->id('C'), 'title' => 'C'], range(1, 99)),
            )->assertOk();
        }
        self::assertSame(2, DB::table('snapshots')->where('plan_id', $this->row->id)->count());
        self::assertSame('C', app(Snapshots::class)->at($this->row->refresh(), 555)?->topic($this->id('C'))->title);
    }

    public function testALongHistoryIsReadPageByPageDownToTheStart(): void
    {
        foreach (range(1, 4) as $round) {
            $this->send(
                ...array_map(fn(int $i): array => ['type' => 'retitle', 'topic' => $this->id('C'), 'title' => 'C'], range(1, 90)),
            )->assertOk();
        }
        $first = $this->get("/plans/{$this->row->id}/history")
            ->assertOk()
            ->assertSeeText('Earlier steps')
            ->assertDontSeeText('Started the plan');
        preg_match('/before=(\d+)/', (string) $first->getContent(), $m);
        self::assertSame('62', $m[1] ?? '');
        $this->get("/plans/{$this->row->id}/history?before={$m[1]}")
            ->assertOk()
            ->assertSeeText('Started the plan')
            ->assertDontSeeText('Earlier steps');
    }

    public function testTimesAreThoseOfThePersonsZone(): void
    {
        $this->user->update(['time_zone' => 'Pacific/Auckland']);
        $this->travelTo(
            '2026-03-01 22:30:00',
            fn() => $this->send(['type' => 'retitle', 'topic' => $this->id('A'), 'title' => 'Late'])->assertOk(),
        );
        $this->travelTo(
            '2026-03-02 10:00:00',
            fn() => $this->get("/plans/{$this->row->id}/history")
                ->assertSeeText('11:30')
                ->assertSeeText('Today'),
        );
        $this->post("/plans/{$this->row->id}/history/1/back")->assertRedirect();
        self::assertStringStartsWith(
            'Went back to',
            (string) DB::table('operations')->where('plan_id', $this->row->id)->orderByDesc('seq')->value('says'),
        );
        self::assertStringStartsWith('A', $this->outline());
    }

    public function testGoingBackToWhatThePlanIsNowChangesNothing(): void
    {
        $this->send(['type' => 'retitle', 'topic' => $this->id('A'), 'title' => 'Eels'])->assertOk();
        $revision = $this->row->refresh()->revision;
        $this->post("/plans/{$this->row->id}/history/{$revision}/back")->assertRedirect();
        self::assertSame($revision, $this->row->refresh()->revision);
    }

    public function testTwoUndosAtOnceTakeBackTwoSteps(): void
    {
        $this->send(['type' => 'retitle', 'topic' => $this->id('A'), 'title' => 'One']);
        $this->send(['type' => 'retitle', 'topic' => $this->id('B'), 'title' => 'Two']);
        $this->step('undo')->assertOk();
        $this->step('undo')->assertOk();
        self::assertSame("A\n  A1\n  A2\nB\n  B1\nC", $this->outline());
        $this->step('undo')->assertJsonPath('nothing', true);
    }

    public function testUndoAndRedoNameWhatTheyWillDo(): void
    {
        $this->send(['type' => 'retitle', 'topic' => $this->id('A'), 'title' => 'Eels'])->assertJsonPath('steps', [
            'undo' => 'Retitled “A” as “Eels”',
            'redo' => null,
        ]);
        $this->send(['type' => 'kind', 'ids' => [$this->id('C')], 'value' => 'aside'])->assertJsonPath(
            'steps.undo',
            'Set the kind of “C” to aside',
        );
        $this->step('undo')->assertJsonPath('steps', ['undo' => 'Retitled “A” as “Eels”', 'redo' => 'Set the kind of “C” to aside']);
        $this->step('undo')->assertJsonPath('steps', ['undo' => null, 'redo' => 'Retitled “A” as “Eels”']);
        $this->step('redo')->assertJsonPath('steps', ['undo' => 'Retitled “A” as “Eels”', 'redo' => 'Set the kind of “C” to aside']);
    }

    public function testWhatWasDoneIsToldStepByStepToBePlayedBack(): void
    {
        $from = $this->row->refresh()->revision;
        $was = app(History::class)->at($this->row, $from);
        $this->send(
            ['type' => 'retitle', 'topic' => $this->id('A'), 'title' => 'First'],
            ['type' => 'move', 'ids' => [$this->id('C')], 'at' => ['parent' => $this->id('A'), 'after' => null]],
            ['type' => 'remove', 'ids' => [$this->id('B')]],
        )->assertOk();
        $to = $this->row->refresh()->revision;
        $told = $this->getJson("/plans/{$this->row->id}/history/steps?from={$from}&to={$to}")->assertOk();
        self::assertSame([$from, $to], [$told->json('from'), $told->json('to')]);
        $shown = [];
        foreach ($told->json('steps') as $step) {
            $was = DifferenceForm::read(new Shape($step['did'], 'did'))->in($was);
            $shown[] = [$step['by'], $step['says'], Build::outline($was)];
        }
        self::assertSame(
            [
                ['Ada', 'Retitled “A” as “First”', "First\n  A1\n  A2\nB\n  B1\nC"],
                ['Ada', 'Moved “C” into “First”', "First\n  C\n  A1\n  A2\nB\n  B1"],
                ['Ada', 'Removed “B”', "First\n  C\n  A1\n  A2"],
            ],
            $shown,
        );
        self::assertSame([], $this->getJson("/plans/{$this->row->id}/history/steps?from={$to}&to={$to}")->json('steps'));
        $this->getJson("/plans/{$this->row->id}/history/steps?from=2&to=1")->assertStatus(422);
        $this->getJson("/plans/{$this->row->id}/history/steps?from=x&to=y")->assertStatus(422);
        $this->actingAs($this->account('ben'))->getJson("/plans/{$this->row->id}/history/steps?from={$from}&to={$to}")->assertNotFound();
    }
}
