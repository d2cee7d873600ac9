<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Plan as PlanRow;
use Embrel\Plan\Plan;
use Illuminate\Testing\TestResponse;

/** Branches within a plan, between plans, and out of the tray into the sources. */
final class CopiesTest extends TestCase
{
    private PlanRow $other;

    protected function setUp(): void
    {
        parent::setUp();
        $this->send([
            'type' => 'note',
            'topic' => $this->id('A1'),
            'put' => [['type' => 'paragraph', 'attrs' => ['id' => self::newId()], 'content' => [['type' => 'text', 'text' => 'noted']]]],
            'remove' => [],
            'order' => null,
            'was' => [],
        ]);
        $this->other = $this->row;
        $this->row = $this->start("X\n  X1\nY");
    }

    /** @param array<string, mixed> $given */
    private function bring(array $given): TestResponse
    {
        return $this->postJson(
            "/plans/{$this->row->id}/copies",
            $given + [
                'id' => self::newId(),
                'base' => $this->row->refresh()->revision,
                'from' => $this->other->id,
                'topics' => [],
                'parent' => Plan::ROOT,
                'after' => null,
            ],
        );
    }

    private function ofOther(string $title): string
    {
        [$this->row, $this->other] = [$this->other, $this->row];
        $id = $this->id($title);
        [$this->row, $this->other] = [$this->other, $this->row];

        return $id;
    }

    public function testABranchIsCopiedWithItsNotes(): void
    {
        $this->bring(['topics' => [$this->ofOther('A')], 'parent' => $this->id('X'), 'after' => $this->id('X1')])
            ->assertOk()
            ->assertJsonPath('copied', 3);
        self::assertSame("X\n  X1\n  A\n    A1\n    A2\nY", $this->outline());
        self::assertSame('noted', $this->plan()->topic($this->id('A1'))->note?->plainText());
        $this->step('undo')->assertOk();
        self::assertSame("X\n  X1\nY", $this->outline());
    }

    public function testMovingTakesItOutOfTheOther(): void
    {
        $this->bring(['topics' => [$this->ofOther('A')], 'move' => true])->assertOk();
        self::assertSame("A\n  A1\n  A2\nX\n  X1\nY", $this->outline());
        $this->row = $this->other;
        self::assertSame("B\n  B1\nC", $this->outline());
        $this->step('undo')->assertOk();
        self::assertStringStartsWith("A\n  A1", $this->outline());
    }

    public function testWhatWasCutThereStillComesHere(): void
    {
        $a = $this->ofOther('A');
        [$this->row, $this->other] = [$this->other, $this->row];
        $this->send(['type' => 'remove', 'ids' => [$a]])->assertOk();
        [$this->row, $this->other] = [$this->other, $this->row];
        $this->bring(['topics' => [$a]])
            ->assertOk()
            ->assertJsonPath('copied', 3);
        self::assertSame("A\n  A1\n  A2\nX\n  X1\nY", $this->outline());
        self::assertSame('noted', $this->plan()->topic($this->id('A1'))->note?->plainText());
    }

    public function testItCanComeLastAndNowhereElse(): void
    {
        $this->bring(['topics' => [$this->ofOther('C')], 'last' => true])->assertOk();
        self::assertSame("X\n  X1\nY\nC", $this->outline());
        $this->bring(['topics' => [$this->ofOther('C')], 'parent' => self::newId()])->assertStatus(409);
        $this->bring(['topics' => [Plan::TRAY]])->assertNotFound();
        $this->bring(['topics' => [self::newId()]])->assertNotFound();
        self::assertSame("X\n  X1\nY\nC", $this->outline());
    }

    public function testAWholePlanComesAsABranch(): void
    {
        $this->bring([])->assertOk();
        self::assertSame("Test plan\n  A\n    A1\n    A2\n  B\n    B1\n  C\nX\n  X1\nY", $this->outline());
    }

    public function testSentTwiceItComesOnce(): void
    {
        $id = self::newId();
        $this->bring(['id' => $id, 'topics' => [$this->ofOther('C')]])->assertOk();
        $this->bring(['id' => $id, 'topics' => [$this->ofOther('C')], 'move' => true])->assertOk();
        self::assertSame("C\nX\n  X1\nY", $this->outline());
        self::assertNotSame('', $this->ofOther('C'));
    }

    public function testNothingComesFromAnotherPersonsPlan(): void
    {
        $this->other = $this->start('Secret', $this->account('mallory'));
        $this->bring([])->assertNotFound();
        self::assertSame("X\n  X1\nY", $this->outline());
    }

    public function testACopyWithinThePlanHasItsOwnNote(): void
    {
        $this->row = $this->other;
        [$a, $a1, $a2] = array_map($this->id(...), ['A', 'A1', 'A2']);
        $copy = [$a => self::newId(), $a1 => self::newId(), $a2 => self::newId()];
        $this->send(['type' => 'copy', 'new' => $copy, 'at' => ['parent' => Plan::ROOT, 'after' => $a]])
            ->assertOk()
            ->assertJsonPath('refused', []);
        self::assertSame("A\n  A1\n  A2\nA\n  A1\n  A2\nB\n  B1\nC", $this->outline());
        $plan = $this->plan();
        self::assertSame('noted', $plan->topic($copy[$a1])->note?->plainText());
        self::assertSame([], array_intersect_key($plan->topic($copy[$a1])->note->blocks ?? [], $plan->topic($a1)->note->blocks ?? []));
    }

    public function testAnIdeaBecomesASourceAndComesBackWithUndo(): void
    {
        $idea = self::newId();
        $source = self::newId();
        $this->send([
            'type' => 'add',
            'at' => ['parent' => Plan::TRAY, 'after' => null],
            'topics' => [['id' => $idea, 'title' => 'Pell, Tides and Walls, 1994']],
        ])->assertOk();
        $this->send([
            'type' => 'compound',
            'operations' => [
                ['type' => 'source', 'sources' => [['id' => $source, 'title' => 'Pell, Tides and Walls, 1994']]],
                ['type' => 'dissolve', 'ids' => [$idea]],
            ],
        ])
            ->assertOk()
            ->assertJsonPath('refused', []);
        $this->getJson("/plans/{$this->row->id}/source-list")->assertJsonPath('sources.0.source', [
            'id' => $source,
            'title' => 'Pell, Tides and Walls, 1994',
        ]);
        self::assertSame([], $this->plan()->parts(Plan::TRAY));
        $this->step('undo')->assertOk();
        $this->getJson("/plans/{$this->row->id}/source-list")->assertJsonPath('sources', []);
        self::assertSame([$idea], $this->plan()->parts(Plan::TRAY));
        $this->step('redo')->assertOk();
        $this->getJson("/plans/{$this->row->id}/source-list")->assertJsonPath('sources.0.source.id', $source);
    }

    public function testWhereAPersonLooksIsTheirOwn(): void
    {
        $this->putJson("/plans/{$this->row->id}/look", ['focus' => $this->id('X'), 'dimmed' => true])->assertNoContent();
        $this->get("/plans/{$this->row->id}")
            ->assertOk()
            ->assertSee('"look":{"focus":"' . $this->id('X') . '","dimmed":true}', false);
        $this->putJson("/plans/{$this->row->id}/look", ['focus' => null, 'dimmed' => false])->assertNoContent();
        $this->get("/plans/{$this->row->id}")->assertSee('"look":{"focus":null,"dimmed":false}', false);
    }
}
