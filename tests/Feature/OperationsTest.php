<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Access\Role;
use App\Models\Share;
use Embrel\Operation\AddTopics;
use Embrel\Operation\EditNote;
use Embrel\Operation\MoveTopics;
use Embrel\Operation\Operation;
use Embrel\Operation\RemoveTopics;
use Embrel\Plan\Place;
use Embrel\Plan\Plan;
use Embrel\Plan\Topic;
use Illuminate\Support\Facades\DB;
use Tests\Core\Build\Build;

final class OperationsTest extends TestCase
{
    /** @return array<string, mixed> */
    private function add(string $title, string $parent = Plan::ROOT, ?string $after = null): array
    {
        return [
            'type' => 'add',
            'at' => ['parent' => $parent, 'after' => $after],
            'topics' => [['id' => self::newId(), 'title' => $title]],
        ];
    }

    /** @return array<string, mixed> */
    private function note(string $topic, string $text, ?string $block = null): array
    {
        $block ??= self::newId();

        return [
            'type' => 'note',
            'topic' => $topic,
            'put' => [['type' => 'paragraph', 'attrs' => ['id' => $block], 'content' => [['type' => 'text', 'text' => $text]]]],
            'remove' => [],
            'order' => [$block],
            'was' => [],
        ];
    }

    public function testABatchIsAppliedInOrderAndTheAnswerTellsWhatChanged(): void
    {
        $answer = $this->send(
            $this->add('First'),
            ['type' => 'retitle', 'topic' => $this->id('B'), 'title' => 'Bee'],
            ['type' => 'move', 'ids' => [$this->id('A2')], 'at' => ['parent' => $this->id('C'), 'after' => null]],
        )->assertOk();
        self::assertSame("First\nA\n  A1\nBee\n  B1\nC\n  A2", $this->outline());
        self::assertSame(4, $answer->json('revision'));
        self::assertSame([], $answer->json('refused'));
        self::assertEqualsCanonicalizing(['First', 'Bee', 'A2'], array_column($answer->json('topics'), 'title'));
        self::assertContains(['parent' => Plan::ROOT, 'from' => 0, 'own' => ['1', '2', '3', '4']], $answer->json('numbers.runs'));
        self::assertSame(['First', 'A', 'Bee', 'C'], array_column($answer->json('strip'), 'title'));
    }

    public function testAnOperationThatIsInTheLogIsAcknowledgedAndNotAppliedTwice(): void
    {
        $once = $this->add('Once') + ['id' => self::newId(), 'step' => self::newId()];
        $this->send($once)->assertOk();
        $this->send($once, $this->add('Twice'))->assertOk()->assertJsonPath('refused', []);
        self::assertSame("Twice\nOnce\nA\n  A1\n  A2\nB\n  B1\nC", $this->outline());
    }

    public function testEachOperationIsAppliedAloneAndWhatDependsOnARefusedOneIsRefusedWithIt(): void
    {
        $lost = $this->add('Lost', self::newId());
        $below = $this->add('Below', $lost['topics'][0]['id']);
        $answer = $this->send($lost, $below, $this->add('Kept'))->assertOk();
        self::assertSame(['gone', 'dependent'], array_column($answer->json('refused'), 'reason'));
        self::assertStringStartsWith("Kept\nA", $this->outline());
    }

    public function testEveryOperationOnATopicThatIsNotThereIsRefusedAndTheRestIsMade(): void
    {
        $gone = self::newId();
        $at = ['parent' => Plan::ROOT, 'after' => null];
        $answer = $this->send(
            ['type' => 'remove', 'ids' => [$gone]],
            ['type' => 'restore', 'heads' => [['id' => $gone] + $at], 'ids' => [$gone]],
            ['type' => 'move', 'ids' => [$gone], 'at' => $at],
            ['type' => 'move', 'ids' => [$this->id('A')], 'at' => ['parent' => $gone, 'after' => null]],
            ['type' => 'split', 'topic' => $gone, 'new' => self::newId(), 'at' => 0],
            ['type' => 'join', 'upper' => $gone, 'lower' => $this->id('A')],
            ['type' => 'retitle', 'topic' => $gone, 'title' => 'x'],
            ['type' => 'flag', 'ids' => [$gone], 'value' => 'key'],
            $this->note($gone, 'x'),
            ['type' => 'wrap', 'ids' => [$gone], 'new' => self::newId(), 'title' => ''],
            ['type' => 'dissolve', 'ids' => [$gone]],
            ['type' => 'sort', 'parent' => $gone, 'by' => 'title'],
            ['type' => 'copy', 'new' => [$gone => self::newId()], 'at' => $at],
            ['type' => 'unsource', 'ids' => [$gone]],
            ['type' => 'retitle', 'topic' => $this->id('A'), 'title' => 'Made'],
        )->assertOk();
        self::assertCount(14, $answer->json('refused'));
        self::assertSame([], array_diff(array_column($answer->json('refused'), 'reason'), ['gone', 'dependent']));
        self::assertStringStartsWith('Made', $this->outline());
    }

    public function testANewOrderAmongSiblingsIsTold(): void
    {
        $answer = $this->send(['type' => 'sort', 'parent' => Plan::ROOT, 'by' => 'title', 'reversed' => true])->assertOk();
        self::assertSame("C\nB\n  B1\nA\n  A1\n  A2", $this->outline());
        $order = ['A', 'B', 'C'];
        foreach ($answer->json('topics') as $row) {
            $order = array_values(array_diff($order, [$row['title']]));
            $after = $row['after'] === null ? -1 : array_search($this->plan(false)->topic($row['after'])->title, $order, true);
            array_splice($order, $after + 1, 0, [$row['title']]);
        }
        self::assertSame(['C', 'B', 'A'], $order);
        self::assertCount(2, $answer->json('topics'));
    }

    public function testACompoundIsAllOrNothing(): void
    {
        $answer = $this->send([
            'type' => 'compound',
            'operations' => [
                ['type' => 'retitle', 'topic' => $this->id('A'), 'title' => 'Changed'],
                ['type' => 'remove', 'ids' => [self::newId()]],
            ],
        ])->assertOk();
        self::assertSame('gone', $answer->json('refused.0.reason'));
        self::assertStringStartsWith('A', $this->outline());
    }

    public function testRemovingKeepsTheRowsAndUndoBringsThemBackWithTheirNotes(): void
    {
        $this->send($this->note($this->id('A1'), 'kept words here'))->assertOk();
        $this->send(['type' => 'remove', 'ids' => [$this->id('A1')]])->assertOk();
        $this->send(['type' => 'remove', 'ids' => [$this->id('A')]])->assertOk();
        self::assertSame("B\n  B1\nC", $this->outline());
        self::assertSame(3, DB::table('topics')->where('plan_id', $this->row->id)->whereNotNull('removed_at')->count());
        self::assertEqualsCanonicalizing(['A', 'A2'], array_column($this->step('undo')->assertOk()->json('topics'), 'title'));
        self::assertSame("A\n  A2\nB\n  B1\nC", $this->outline(), 'What was removed before on its own stays removed.');
        $this->step('undo')->assertOk();
        self::assertSame("A\n  A1\n  A2\nB\n  B1\nC", $this->outline());
        self::assertSame('kept words here', $this->plan()->topic($this->id('A1'))->note?->plainText());
    }

    public function testUndoAndRedoGoBackAndForthOverManySteps(): void
    {
        $states = [$this->outline()];
        $changes = [
            fn(): array => $this->add('New'),
            fn(): array => [
                'type' => 'move',
                'ids' => [$this->id('A1'), $this->id('B1')],
                'at' => ['parent' => $this->id('C'), 'after' => null],
            ],
            fn(): array => ['type' => 'join', 'upper' => $this->id('New'), 'lower' => $this->id('A')],
            fn(): array => ['type' => 'split', 'topic' => $this->id('New A'), 'new' => self::newId(), 'at' => 3],
            fn(): array => ['type' => 'remove', 'ids' => [$this->id('C')]],
        ];
        foreach ($changes as $change) {
            $this->send($change())->assertOk()->assertJsonPath('refused', []);
            $states[] = $this->outline();
        }
        for ($i = \count($changes) - 1; $i >= 0; --$i) {
            $this->step('undo')->assertOk();
            self::assertSame($states[$i], $this->outline());
        }
        $this->step('undo')->assertOk()->assertJsonPath('nothing', true);
        for ($i = 1; $i <= 3; ++$i) {
            $this->step('redo')->assertOk();
            self::assertSame($states[$i], $this->outline());
        }
        $this->step('undo')->assertOk();
        $this->step('undo')->assertOk();
        self::assertSame($states[1], $this->outline());
        $this->send($this->add('Another way'))->assertOk();
        $this->step('redo')->assertOk()->assertJsonPath('nothing', true);
        $this->step('undo')->assertOk();
        self::assertSame($states[1], $this->outline());
    }

    public function testOneUndoTakesBackAStepOfManyOperations(): void
    {
        $step = self::newId();
        foreach (['T', 'Ti', 'Tide'] as $title) {
            $this->send([
                'type' => 'retitle',
                'topic' => $this->id($title === 'T' ? 'B' : ($title === 'Ti' ? 'T' : 'Ti')),
                'title' => $title,
                'step' => $step,
            ])->assertOk();
        }
        $this->step('undo')->assertOk();
        self::assertSame("A\n  A1\n  A2\nB\n  B1\nC", $this->outline());
    }

    public function testUndoIsRefusedWhereSomeoneElseHasChangedTheSameSince(): void
    {
        $this->send(['type' => 'retitle', 'topic' => $this->id('A'), 'title' => 'Mine'])->assertOk();
        DB::table('operations')->insert([
            'plan_id' => $this->row->id,
            'seq' => 99,
            'op_id' => self::newId(),
            'step_id' => self::newId(),
            'user_id' => $this->account('bob')->id,
            'type' => 'retitle',
            'difference' => json_encode(['v' => 1, 'topics' => [$this->id('Mine') => ['fields' => ['title' => ['Mine', 'Theirs']]]]]),
            'says' => 'Named “Mine” “Theirs”',
        ]);
        DB::table('operation_things')->insert(['plan_id' => $this->row->id, 'thing' => $this->id('Mine'), 'seq' => 99]);
        $refused = $this->step('undo')->assertStatus(409)->assertJsonPath('reason', 'changed');
        self::assertStringContainsString(': Named “Mine” “Theirs”. The history tells more.', (string) $refused->json('message'));
        self::assertStringStartsWith('Mine', $this->outline());
    }

    /** What another person, who may write in it, does in the plan of this test: by a request of that person's own. */
    private function another(Operation $operation): void
    {
        $bob = $this->account('bob');
        Share::query()->create(['plan_id' => $this->row->id, 'user_id' => $bob->id, 'role' => Role::Writes]);
        $this->actingAs($bob)->send($operation->toArray())->assertOk()->assertJsonPath('refused', []);
        $this->actingAs($this->user);
    }

    public function testASortingIsTakenBackAroundWhatAnotherHasMovedAway(): void
    {
        [$a1, $b] = [$this->id('A1'), $this->id('B')];
        $this->send(['type' => 'sort', 'parent' => $this->id('A'), 'by' => 'title', 'reversed' => true])->assertOk();
        $this->another(new MoveTopics([$a1], new Place($b, $this->id('B1'))));
        $this->step('undo')->assertOk();
        self::assertSame("A\n  A2\nB\n  B1\n  A1\nC", $this->outline());
        $this->step('redo')->assertOk();
        self::assertSame("A\n  A2\nB\n  B1\n  A1\nC", $this->outline());
    }

    public function testATopicThatHoldsWhatAnotherPutThereDoesNotGo(): void
    {
        $new = self::newId();
        $this->send([
            'type' => 'add',
            'at' => ['parent' => Plan::ROOT, 'after' => $this->id('C')],
            'topics' => [['id' => $new, 'title' => 'X']],
        ])->assertOk();
        $this->another(AddTopics::one(new Topic(self::newId(), 'Theirs'), new Place($new)));
        $this->step('undo')->assertStatus(409)->assertJsonPath('reason', 'changed');
        self::assertStringEndsWith("X\n  Theirs", $this->outline());
    }

    public function testWhatStoodUnderATopicThatAnotherHasRemovedSinceDoesNotComeBack(): void
    {
        $this->send(['type' => 'move', 'ids' => [$this->id('B1')], 'at' => ['parent' => $this->id('C'), 'after' => null]])->assertOk();
        $this->another(new RemoveTopics([$this->id('B')]));
        $this->step('undo')->assertStatus(409)->assertJsonPath('reason', 'changed');
        self::assertSame("A\n  A1\n  A2\nC\n  B1", $this->outline());
    }

    public function testANoteIsChangedBlockByBlockAndCounted(): void
    {
        $topic = $this->id('A1');
        $block = self::newId();
        $answer = $this->send($this->note($topic, 'three short words', $block))->assertOk();
        self::assertSame([3, 1], $answer->json("figures.{$topic}"));
        self::assertSame(3, $answer->json('words'));
        $note = $this->getJson("/plans/{$this->row->id}/topics/{$topic}/note")->assertOk();
        $block0 = array_values($this->plan()->topic($topic)->note->blocks ?? [])[0];
        self::assertSame(EditNote::fingerprint($block0), $note->json("seen.{$block}"));
        $this->send(['type' => 'note', 'topic' => $topic, 'put' => [], 'remove' => [$block], 'order' => [], 'was' => []])->assertOk();
        self::assertFalse($this->plan()->topic($topic)->noted);
    }

    public function testBadOperationsGetAClearAnswerAndChangeNothing(): void
    {
        $before = $this->outline();
        $this->send(['type' => 'explode'])
            ->assertStatus(422)
            ->assertJsonPath('message', 'This is not an operation: “type” cannot be “explode”.');
        $this->send([
            'type' => 'note',
            'topic' => $this->id('A'),
            'put' => [['type' => 'script', 'attrs' => ['id' => self::newId()]]],
        ])->assertStatus(422);
        $this->postJson("/plans/{$this->row->id}/operations", ['base' => 'x', 'operations' => 'y'])->assertStatus(422);
        $this->postJson("/plans/{$this->row->id}/operations", ['base' => 0, 'operations' => [5]])->assertStatus(422);
        $this->send($this->note($this->id('A'), str_repeat('x', 2_200_000)))->assertStatus(413);
        $this->send(['type' => 'move', 'ids' => [$this->id('A')], 'at' => ['parent' => $this->id('A1'), 'after' => null]])
            ->assertOk()
            ->assertJsonPath('refused.0.reason', 'into-itself');
        self::assertSame($before, $this->outline());
    }

    public function testATopicOfAnotherPlanIsNotThere(): void
    {
        $other = $this->start('X');
        $x = Build::id(app(\App\Store\PlanStore::class)->load($other), 'X');
        $this->send(['type' => 'move', 'ids' => [$x], 'at' => ['parent' => Plan::ROOT, 'after' => null]])
            ->assertOk()
            ->assertJsonPath('refused.0.reason', 'gone');
        $this->send($this->add('Y', $x))->assertOk()->assertJsonPath('refused.0.reason', 'gone');
    }

    public function testOthersAreToldWhatHasHappened(): void
    {
        $base = $this->row->revision;
        $gone = $this->id('C');
        $this->send(['type' => 'remove', 'ids' => [$gone]], $this->add('New', $this->id('A'), $this->id('A1')))->assertOk();
        $answer = $this->getJson("/plans/{$this->row->id}/changes?since={$base}")->assertOk();
        self::assertSame([$gone], $answer->json('removed'));
        self::assertSame(['New'], array_column($answer->json('topics'), 'title'));
        self::assertSame($this->id('A1'), $answer->json('topics.0.after'));
        $this->getJson("/plans/{$this->row->id}/changes?since=" . $answer->json('revision'))->assertNoContent();
    }

    public function testTheLandingTellsTheNumberThatATopicWouldGet(): void
    {
        $at = static fn(array $query): string => '/landing?' . http_build_query($query);
        $this->getJson("/plans/{$this->row->id}" . $at(['parent' => $this->id('A'), 'after' => $this->id('A1')]))
            ->assertOk()
            ->assertJsonPath('number', '1.2');
        $this->getJson("/plans/{$this->row->id}" . $at(['parent' => Plan::ROOT, 'topic' => $this->id('C')]))
            ->assertOk()
            ->assertJsonPath('number', '1');
        $this->getJson("/plans/{$this->row->id}" . $at(['parent' => $this->id('A1'), 'topic' => $this->id('A')]))->assertStatus(409);
        $this->getJson("/plans/{$this->row->id}" . $at(['parent' => 'x']))->assertStatus(422);
    }

    public function testThousandsOfPlacesInOneSpotKeepTheirOrder(): void
    {
        $b = $this->id('B');
        for ($i = 0; $i < 3; ++$i) {
            $this->send(...array_map(fn(int $n): array => $this->add("{$i}-{$n}", Plan::ROOT, $b), range(1, 120)))->assertOk();
        }
        $lines = array_values(array_filter(explode("\n", $this->outline()), static fn(string $line): bool => str_contains($line, '-')));
        self::assertSame('2-120', $lines[0]);
        self::assertSame('0-1', $lines[359]);
        self::assertSame($lines, array_unique($lines));
    }

    public function testEveryFieldOfATopicAndOfThePlanIsKept(): void
    {
        $properties = [
            'subtitle' => 'S',
            'author' => 'B',
            'form' => 'book',
            'subject' => 'T',
            'language' => 'de-AT',
            'page_size' => 'letter',
            'target' => 9000,
            'due' => '2027-02-28',
            'numbering' => 'chapter',
            'numbering_depth' => 2,
            'run_on' => true,
            'number_forms' => ['{I}.', '{I}.{1}'],
            'citation_style' => 'chicago-notes',
            'labels' => [['archive', 'woad'], ['field', 'fern']],
            'rules_off' => ['passive'],
            'set_aside' => [['empty-last:' . $this->id('C'), 'On purpose']],
            'terms' => [['sea wall', 'What keeps the sea out']],
        ];
        $a = [$this->id('A')];
        $answer = $this->send(
            ['type' => 'kind', 'ids' => $a, 'value' => 'point'],
            ['type' => 'dye', 'ids' => $a, 'value' => '#1a2B3c'],
            ['type' => 'flag', 'ids' => $a, 'value' => 'to-check'],
            ['type' => 'target', 'ids' => $a, 'value' => 350],
            ['type' => 'numbered', 'ids' => [$this->id('C')], 'value' => 'appendix'],
            ['type' => 'plan', 'set' => $properties],
            ['type' => 'label', 'ids' => $a, 'put' => ['field', 'Archive']],
        )
            ->assertOk()
            ->assertJsonPath('refused', []);
        $plan = $this->plan();
        $topic = $plan->topic($a[0]);
        self::assertSame(
            ['point', '#1a2b3c', 'to-check', 350, ['archive', 'field']],
            [$topic->kind->value, $topic->dye?->value, $topic->flag?->value, $topic->target?->words, $topic->labels],
        );
        self::assertSame('Anhang A', \Embrel\Numbering\Numbering::of($plan)->own($this->id('C')));
        self::assertSame($properties, $plan->properties->toArray());
        self::assertSame(9000, $answer->json('target'));
        $this->send(['type' => 'plan', 'set' => ['due' => '2027-02-30']])
            ->assertOk()
            ->assertJsonPath('refused.0.reason', 'value');
        $this->send(['type' => 'plan', 'set' => ['owner_id' => 1]])
            ->assertOk()
            ->assertJsonPath('refused.0.reason', 'value');
    }

    public function testASnapshotOfTheWholeIsKeptEveryFiveHundredOperations(): void
    {
        $this->row->forceFill(['revision' => 498])->save();
        $this->send($this->note($this->id('A'), 'in the snapshot'), $this->add('New'), $this->add('Newer'))->assertOk();
        $body = json_decode(
            (string) DB::table('snapshots')->where('plan_id', $this->row->id)->where('seq', '>', 1)->sole()->body,
            true,
            512,
            JSON_THROW_ON_ERROR,
        );
        self::assertSame(['Test plan', 'Newer', 'New', 'A', 'A1', 'A2', 'B', 'B1', 'C', '', ''], array_column($body['topics'], 'title'));
        self::assertStringContainsString('in the snapshot', json_encode($body, JSON_THROW_ON_ERROR));
    }

    public function testTheDatabaseItselfKeepsAForeignParentOut(): void
    {
        $other = $this->start('X');
        $x = Build::id(app(\App\Store\PlanStore::class)->load($other), 'X');
        $this->expectException(\Illuminate\Database\QueryException::class);
        DB::table('topics')
            ->where('plan_id', $this->row->id)
            ->where('id', $this->id('A'))
            ->update(['parent_id' => $x]);
    }

    public function testTheTargetIsSharedOut(): void
    {
        $this->send(['type' => 'plan', 'set' => ['target' => 600]])->assertOk();
        self::assertSame(
            [$this->id('A') => 300, $this->id('B') => 200, $this->id('C') => 100],
            $this->getJson("/plans/{$this->row->id}/shares")
                ->assertOk()
                ->json('shares'),
        );
    }

    public function testWhatIsChangedOrMadeAndThenRemovedInOneBatchComesBackAsItWasLast(): void
    {
        $add = $this->add('Made', $this->id('B'), $this->id('B1'));
        $made = $add['topics'][0]['id'];
        $this->send(
            ['type' => 'retitle', 'topic' => $this->id('A1'), 'title' => 'Changed'],
            $this->note($this->id('A1'), 'written at the last moment'),
            $add,
            $this->add('Under it', $made),
            ['type' => 'remove', 'ids' => [$this->id('A'), $made]],
        )
            ->assertOk()
            ->assertJsonPath('refused', []);
        self::assertSame("B\n  B1\nC", $this->outline());
        $this->step('undo')->assertOk();
        self::assertSame("A\n  Changed\n  A2\nB\n  B1\n  Made\n    Under it\nC", $this->outline());
        self::assertSame('written at the last moment', $this->plan()->topic($this->id('Changed'))->note?->plainText());
        $this->step('redo')->assertOk();
        self::assertSame("B\n  B1\nC", $this->outline());
    }

    public function testTwoWhoWriteInOneParagraphKeepAllTheirWordsAndAreTold(): void
    {
        [$a, $block] = [$this->id('A'), self::newId()];
        $was = $this->note($a, 'the tide and the wall', $block);
        $this->send($was)->assertOk();
        $seen = $this->row->refresh()->revision;
        $base = ['base' => $was['put']];
        $this->send($this->note($a, 'the spring tide and the wall', $block) + $base)
            ->assertOk()
            ->assertJsonPath("notes.{$a}", [2, 3]);
        $answer = $this->postJson("/plans/{$this->row->id}/operations", [
            'base' => $seen,
            'operations' => [
                ['id' => self::newId(), 'step' => self::newId()] + $this->note($a, 'the tide and the old wall', $block) + $base,
            ],
        ])
            ->assertOk()
            ->assertJsonPath('refused', []);
        self::assertSame('the spring tide and the old wall', $this->plan()->topic($a)->note?->plainText());
        $answer->assertJsonPath("notes.{$a}", [null, 4]);
    }

    public function testAnEmptyTopicThatWasLeftTakesNoUndo(): void
    {
        $this->send(['type' => 'retitle', 'topic' => $this->id('C'), 'title' => 'Sea'])->assertOk();
        $add = $this->add('');
        $step = ['step' => self::newId()];
        $this->send($step + $add, $step + ['type' => 'drop', 'ids' => [$add['topics'][0]['id']]])
            ->assertOk()
            ->assertJsonPath('refused', []);
        self::assertSame("A\n  A1\n  A2\nB\n  B1\nSea", $this->outline());
        $this->step('undo')->assertOk();
        self::assertSame("A\n  A1\n  A2\nB\n  B1\nC", $this->outline());
    }

    public function testTwoWhoWriteOneTitleKeepTheWordsOfBoth(): void
    {
        $this->send(['type' => 'retitle', 'topic' => $this->id('A'), 'title' => 'The tide and the mud'])->assertOk();
        $id = $this->id('The tide and the mud');
        foreach (['The spring tide and the mud', 'The tide and the deep mud'] as $title) {
            $this->send(['type' => 'retitle', 'topic' => $id, 'title' => $title, 'was' => 'The tide and the mud'])
                ->assertOk()
                ->assertJsonPath('refused', []);
        }
        self::assertSame('The spring tide and the deep mud', $this->plan(false)->topic($id)->title);
        $this->step('undo')->assertOk();
        self::assertSame('The spring tide and the mud', $this->plan(false)->topic($id)->title);
    }

    public function testADyeThatNobodyChoseIsTheMainSectionsAlone(): void
    {
        [$a, $b] = [$this->id('A'), $this->id('B')];
        $dye = fn(string $id): ?string => $this->plan(false)->topic($id)->dye?->value;
        $was = $dye($b);
        $answer = $this->send(['type' => 'move', 'ids' => [$b], 'at' => ['parent' => $a, 'after' => null]])->assertOk();
        self::assertSame(
            [null],
            array_values(
                array_unique(array_column(array_filter($answer->json('topics'), static fn(array $one): bool => $one['id'] === $b), 'dye')),
            ) ?: [null],
        );
        self::assertNull($dye($b));
        $this->step('undo')->assertOk();
        self::assertSame($was, $dye($b));
        $this->send(
            ['type' => 'dye', 'ids' => [$b], 'value' => 'orchil'],
            ['type' => 'move', 'ids' => [$b], 'at' => ['parent' => $a, 'after' => null]],
        )->assertOk();
        self::assertSame('orchil', $dye($b), 'One that somebody chose goes with it.');
    }
}
