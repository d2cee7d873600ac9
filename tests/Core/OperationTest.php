<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Difference\Difference;
use Embrel\Operation\AddTopics;
use Embrel\Operation\Codec;
use Embrel\Operation\DissolveTopics;
use Embrel\Operation\EditNote;
use Embrel\Operation\JoinTopics;
use Embrel\Operation\MalformedOperation;
use Embrel\Operation\MoveTopics;
use Embrel\Operation\OperationRefused;
use Embrel\Operation\Reason;
use Embrel\Operation\RemoveTopics;
use Embrel\Operation\Retitle;
use Embrel\Operation\SetField;
use Embrel\Operation\SplitTopic;
use Embrel\Operation\WrapTopics;
use Embrel\Plan\Dye;
use Embrel\Plan\Field;
use Embrel\Plan\Flag;
use Embrel\Plan\Place;
use Embrel\Plan\Plan;
use Embrel\Plan\Topic;
use Embrel\RichText\Node;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;

final class OperationTest extends TestCase
{
    private Plan $plan;

    protected function setUp(): void
    {
        $this->plan = Build::plan("A\n  A1\n  A2\nB\n  B1\nC");
    }

    private function id(string $title): string
    {
        return Build::id($this->plan, $title);
    }

    public function testMovingManyKeepsTheirOrder(): void
    {
        $after = (new MoveTopics([$this->id('A1'), $this->id('C'), $this->id('A2')], new Place($this->id('B'))))->apply($this->plan);
        self::assertSame("A\nB\n  A1\n  C\n  A2\n  B1", Build::outline($after));
    }

    public function testMovingATopicAlongWithWhatIsUnderItMovesItOnce(): void
    {
        $after = (new MoveTopics([$this->id('A'), $this->id('A1')], new Place(Plan::ROOT, $this->id('C'))))->apply($this->plan);
        self::assertSame("B\n  B1\nC\nA\n  A1\n  A2", Build::outline($after));
    }

    public function testAPlaceAfterATopicThatMovesItselfIsWhereItWas(): void
    {
        $after = (new MoveTopics([$this->id('B'), $this->id('C')], new Place(Plan::ROOT, $this->id('B'))))->apply($this->plan);
        self::assertSame("A\n  A1\n  A2\nB\n  B1\nC", Build::outline($after));
    }

    public function testWhoArrivesAfterASiblingThatHasGoneStandsLast(): void
    {
        $after = AddTopics::one(new Topic(Build::ulid(1), 'New'), new Place(Plan::ROOT, Build::ulid(9)))->apply($this->plan);
        self::assertStringEndsWith("C\nNew", Build::outline($after));
    }

    public function testANewMainSectionTakesTheLeastUsedDye(): void
    {
        $plan = Plan::titled('Empty');
        $dyes = [];
        for ($i = 1; $i <= 9; ++$i) {
            $plan = AddTopics::one(new Topic(Build::ulid($i), "S{$i}"), Place::lastIn($plan, Plan::ROOT))->apply($plan);
            $dyes[] = $plan->topic(Build::ulid($i))->dye?->value;
        }
        self::assertSame(['madder', 'weld', 'woad', 'fern', 'walnut', 'orchil', 'verdigris', 'slate', 'madder'], $dyes);
    }

    public function testSplittingKeepsIdNoteAndPartsWithTheFirstHalf(): void
    {
        $plan = $this->plan->with($this->plan->topic($this->id('A'))->withTitle('Tide and mud')->withNote(Build::note('Kept')));
        $after = (new SplitTopic($this->id('A'), Build::ulid(1), 5))->apply($plan);
        self::assertSame("Tide\n  A1\n  A2\nand mud\nB\n  B1\nC", Build::outline($after));
        self::assertTrue($after->topic($this->id('A'))->noted);
        self::assertFalse($after->topic(Build::ulid(1))->noted);
    }

    public function testJoiningRunsTitlesAndNotesOnAndKeepsTheUpperId(): void
    {
        $plan = $this->plan
            ->with($this->plan->topic($this->id('A2'))->withNote(Build::note('first')))
            ->with(
                $this->plan
                    ->topic($this->id('B'))
                    ->withNote(
                        (new EditNote($this->id('B'), [Node::plain('second', Build::ulid(5))]))->apply($this->plan)->topic($this->id('B'))
                            ->note ?? Build::note(),
                    ),
            );
        $after = (new JoinTopics($this->id('A2'), $this->id('B')))->apply($plan);
        self::assertSame("A\n  A1\n  A2 B\n    B1\nC", Build::outline($after));
        self::assertSame("first\nsecond", $after->topic($this->id('A2'))->note?->plainText());
    }

    public function testJoiningAFirstPartWithItsParentPutsItsPartsInItsPlace(): void
    {
        $plan = Build::plan("A\n  A1\n    x\n    y\n  A2");
        $after = (new JoinTopics(Build::id($plan, 'A'), Build::id($plan, 'A1')))->apply($plan);
        self::assertSame("A A1\n  x\n  y\n  A2", Build::outline($after));
    }

    public function testTwoWritersOfDifferentParagraphsBothStay(): void
    {
        $note = Build::note('one', 'two');
        [$one, $two] = array_keys($note->blocks);
        $plan = $this->plan->with($this->plan->topic($this->id('A'))->withNote($note));
        $seen = array_map(EditNote::fingerprint(...), $note->blocks);
        $hers = new EditNote($this->id('A'), [Node::plain('ONE', $one)], [], [$one, $two], [$one => $seen[$one]]);
        $his = new EditNote(
            $this->id('A'),
            [Node::plain('TWO', $two), Node::plain('three', Build::ulid(3))],
            [],
            [$one, $two, Build::ulid(3)],
            [$two => $seen[$two]],
        );
        self::assertSame("ONE\nTWO\nthree", $his->apply($hers->apply($plan))->topic($this->id('A'))->note?->plainText());
        self::assertSame("ONE\nTWO\nthree", $hers->apply($his->apply($plan))->topic($this->id('A'))->note?->plainText());
    }

    public function testAParagraphThatSomeoneElseChangedIsNotOverwritten(): void
    {
        $note = Build::note('one');
        $id = (string) array_key_first($note->blocks);
        $plan = $this->plan->with($this->plan->topic($this->id('A'))->withNote($note));
        $edit = new EditNote($this->id('A'), [Node::plain('mine', $id)], was: [$id => EditNote::fingerprint($note->blocks[$id])]);
        $theirs = (new EditNote($this->id('A'), [Node::plain('theirs', $id)]))->apply($plan);
        self::assertTrue($edit->canApply($plan));
        self::assertFalse($edit->canApply($theirs));
    }

    public function testRefusals(): void
    {
        $deep = Build::plan(implode("\n", array_map(static fn(int $i): string => str_repeat(' ', $i) . "L{$i}", range(0, 59))));
        $cases = [
            [Reason::IntoItself, new MoveTopics([$this->id('A')], new Place($this->id('A2'))), $this->plan],
            [Reason::IntoItself, new JoinTopics($this->id('A1'), $this->id('A')), $this->plan],
            [Reason::Gone, new Retitle(Build::ulid(7), 'x'), $this->plan],
            [Reason::Gone, new RemoveTopics([$this->id('A1')]), (new RemoveTopics([$this->id('A')]))->apply($this->plan)],
            [Reason::Gone, AddTopics::one(new Topic(Build::ulid(1)), new Place(Build::ulid(2))), $this->plan],
            [Reason::Fixed, new RemoveTopics([Plan::ROOT]), $this->plan],
            [Reason::Exists, AddTopics::one(new Topic($this->id('A')), new Place(Plan::ROOT)), $this->plan],
            [Reason::TooDeep, AddTopics::one(new Topic(Build::ulid(1)), new Place(Build::id($deep, 'L59'))), $deep],
            [
                Reason::TooDeep,
                new MoveTopics([Build::id($deep, 'L0')], new Place(Build::ulid(1))),
                AddTopics::one(new Topic(Build::ulid(1)), new Place(Plan::ROOT))->apply($deep),
            ],
            [Reason::Value, new Retitle($this->id('A'), str_repeat('é', 1001)), $this->plan],
        ];
        foreach ($cases as $i => [$reason, $operation, $plan]) {
            self::assertFalse($operation->canApply($plan), "case {$i}");
            try {
                $operation->apply($plan);
                self::fail("Case {$i} was not refused.");
            } catch (OperationRefused $why) {
                self::assertSame($reason, $why->reason, "case {$i}");
            }
        }
    }

    public function testSuccessiveSmallEditsMerge(): void
    {
        $first = (new Retitle($this->id('A'), 'Ti'))->apply($this->plan);
        $same = (new Retitle($this->id('A'), 'Tide'))->apply($first);
        $other = (new Retitle($this->id('B'), 'Tide'))->apply($first);
        $began = Difference::between($this->plan, $first);
        self::assertEquals(Difference::between($this->plan, $same), $began->then(Difference::between($first, $same)));
        self::assertCount(2, $began->then(Difference::between($first, $other))->topics);
        self::assertTrue($began->then($began->reversed())->isNothing(), 'What is taken back again is nothing.');
    }

    /** @return iterable<string, array{string}> */
    public static function malformed(): iterable
    {
        yield 'nothing' => ['{}'];
        yield 'unknown type' => ['{"type":"explode"}'];
        yield 'no list of ids' => ['{"type":"remove","ids":"all"}'];
        yield 'id of another form' => ['{"type":"remove","ids":["1; DROP TABLE topics"]}'];
        yield 'id with a line feed' => ['{"type":"remove","ids":["01ARZ3NDEKTSV4RRFFQ69G5FAV\n"]}'];
        yield 'title that is a number' => ['{"type":"retitle","topic":"01ARZ3NDEKTSV4RRFFQ69G5FAV","title":5}'];
        yield 'unknown kind' => ['{"type":"kind","ids":[],"value":"chapter"}'];
        yield 'dye that is a style' => ['{"type":"dye","ids":[],"value":"red;background:url(x)"}'];
        yield 'negative target' => ['{"type":"target","ids":[],"value":-5}'];
        yield 'unknown node in a note' => [
            '{"type":"note","topic":"01ARZ3NDEKTSV4RRFFQ69G5FAV","put":[{"type":"iframe","attrs":{"id":"01ARZ3NDEKTSV4RRFFQ69G5FAV"}}]}',
        ];
        yield 'compounds without end' => [str_repeat('{"type":"compound","operations":[', 9) . str_repeat(']}', 9)];
        yield 'topic without id' => ['{"type":"add","at":{"parent":"00000000000000000000000000"},"topics":[{"title":"x"}]}'];
    }

    #[DataProvider('malformed')]
    public function testWhatIsNotAnOperationIsNamed(string $json): void
    {
        $this->expectException(MalformedOperation::class);
        Codec::decode(json_decode(str_replace('\n"]', '\\n"]', $json), true, 512, JSON_THROW_ON_ERROR));
    }

    public function testADyeThatNobodyChoseGoesWithTheMainSectionAndComesBack(): void
    {
        $a = $this->id('A');
        self::assertTrue($this->plan->topic($this->id('B'))->dye?->isGiven);
        $under = new MoveTopics([$this->id('B')], Place::lastIn($this->plan, $a));
        $within = $under->apply($this->plan);
        self::assertNull($within->topic($this->id('B'))->dye);
        self::assertEquals(
            $this->plan->topic($this->id('B'))->dye,
            Build::back($this->plan, $within)->topic($this->id('B'))->dye,
        );
        self::assertTrue(
            (new MoveTopics([$this->id('A1')], new Place(Plan::ROOT, $a)))->apply($this->plan)->topic($this->id('A1'))->dye?->isGiven,
        );
        self::assertNull((new WrapTopics([$this->id('B')], Build::ulid(3), 'Around'))->apply($this->plan)->topic($this->id('B'))->dye);
        self::assertTrue((new DissolveTopics([$a]))->apply($this->plan)->topic($this->id('A1'))->dye?->isGiven);
        $chosen = (new SetField(Field::Dye, [$this->id('B')], Dye::of('fern')))->apply($this->plan);
        self::assertSame('fern', $under->apply($chosen)->topic($this->id('B'))->dye?->value, 'What a person chose stays.');
    }

    public function testTwoWritersOfATitleBothStay(): void
    {
        $id = $this->id('A');
        $plan = (new Retitle($id, 'The tide and the mud'))->apply($this->plan);
        $plan = (new Retitle($id, 'The spring tide and the mud', 'The tide and the mud'))->apply($plan);
        $plan = (new Retitle($id, 'The tide and the deep mud', 'The tide and the mud'))->apply($plan);
        self::assertSame('The spring tide and the deep mud', $plan->topic($id)->title);
    }

    public function testOnlyWhatIsEmptyIsDropped(): void
    {
        $plan = AddTopics::one(new Topic(Build::ulid(1), ''), Place::lastIn($this->plan, Plan::ROOT))->apply($this->plan);
        $drop = new RemoveTopics([Build::ulid(1), $this->id('A1'), $this->id('B')], onlyEmpty: true);
        self::assertSame(Build::outline($this->plan), Build::outline($drop->apply($plan)));
        foreach (
            [
                $plan->topic(Build::ulid(1))->withTitle('By now'),
                $plan->topic(Build::ulid(1))->withNote(Build::note('By now')),
                $plan->topic(Build::ulid(1))->with(['flag' => Flag::cases()[0]]),
            ] as $filled
        ) {
            self::assertTrue(
                $drop->apply($plan->with($filled))->has(Build::ulid(1))
                    && $drop->apply($plan->with($filled))->parent(Build::ulid(1)) === Plan::ROOT,
            );
        }
    }
}
