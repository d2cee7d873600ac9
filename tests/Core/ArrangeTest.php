<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Citation\Source;
use Embrel\Id\CountedIds;
use Embrel\Limits;
use Embrel\Operation\AddSources;
use Embrel\Operation\AddTopics;
use Embrel\Operation\Compound;
use Embrel\Operation\CopyTopics;
use Embrel\Operation\DissolveTopics;
use Embrel\Operation\MoveTopics;
use Embrel\Operation\Operation;
use Embrel\Operation\OperationRefused;
use Embrel\Operation\Reason;
use Embrel\Operation\RemoveSources;
use Embrel\Operation\RemoveTopics;
use Embrel\Operation\Retitle;
use Embrel\Operation\SetField;
use Embrel\Operation\SetPlan;
use Embrel\Operation\SortBy;
use Embrel\Operation\SortParts;
use Embrel\Operation\Transition;
use Embrel\Operation\Wording;
use Embrel\Operation\WrapTopics;
use Embrel\Plan\Ascending;
use Embrel\Plan\Comparison;
use Embrel\Plan\Dye;
use Embrel\Plan\Field;
use Embrel\Plan\Flag;
use Embrel\Plan\Kind;
use Embrel\Plan\Place;
use Embrel\Plan\Plan;
use Embrel\Plan\Properties;
use Embrel\Plan\Target;
use Embrel\Plan\Topic;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;

/** Regrouping: what comes out, what is refused, what it is called, and the way back. */
final class ArrangeTest extends TestCase
{
    private const TREE = "Tide\n  Mud\n    Worms\n  Sand\nWall\n  Stone\nLast";

    private static function plan(): Plan
    {
        return Build::plan(self::TREE);
    }

    /** @return list<string> */
    private static function ids(Plan $plan, string ...$titles): array
    {
        return array_map(static fn(string $title): string => Build::id($plan, $title), array_values($titles));
    }

    /** @return iterable<string, array{\Closure(Plan): Operation, string}> */
    public static function regroupings(): iterable
    {
        yield 'a parent around one' => [
            static fn(Plan $p): Operation => new WrapTopics(self::ids($p, 'Mud'), Build::ulid(1), 'New'),
            "Tide\n  New\n    Mud\n      Worms\n  Sand\nWall\n  Stone\nLast",
        ];
        yield 'around several of different parents, in reading order' => [
            static fn(Plan $p): Operation => new WrapTopics(self::ids($p, 'Last', 'Stone', 'Sand'), Build::ulid(1), 'New'),
            "Tide\n  Mud\n    Worms\n  New\n    Sand\n    Stone\n    Last\nWall",
        ];
        yield 'around one and what is under it: the inner one stays where it is' => [
            static fn(Plan $p): Operation => new WrapTopics(self::ids($p, 'Worms', 'Mud'), Build::ulid(1), 'New'),
            "Tide\n  New\n    Mud\n      Worms\n  Sand\nWall\n  Stone\nLast",
        ];
        yield 'around the first main section' => [
            static fn(Plan $p): Operation => new WrapTopics(self::ids($p, 'Tide', 'Wall'), Build::ulid(1), 'New'),
            "New\n  Tide\n    Mud\n      Worms\n    Sand\n  Wall\n    Stone\nLast",
        ];
        yield 'dissolved into its parts' => [
            static fn(Plan $p): Operation => new DissolveTopics(self::ids($p, 'Tide')),
            "Mud\n  Worms\nSand\nWall\n  Stone\nLast",
        ];
        yield 'dissolved with the one inside it' => [
            static fn(Plan $p): Operation => new DissolveTopics(self::ids($p, 'Tide', 'Mud')),
            "Worms\nSand\nWall\n  Stone\nLast",
        ];
        yield 'without parts it only goes' => [
            static fn(Plan $p): Operation => new DissolveTopics(self::ids($p, 'Last')),
            "Tide\n  Mud\n    Worms\n  Sand\nWall\n  Stone",
        ];
        yield 'sorted by title' => [
            static fn(Plan $p): Operation => new SortParts(Plan::ROOT, SortBy::Title),
            "Last\nTide\n  Mud\n    Worms\n  Sand\nWall\n  Stone",
        ];
        yield 'the other way round' => [
            static fn(Plan $p): Operation => new SortParts(Plan::ROOT, SortBy::Title, true),
            "Wall\n  Stone\nTide\n  Mud\n    Worms\n  Sand\nLast",
        ];
        yield 'nothing to sort' => [static fn(Plan $p): Operation => new SortParts(self::ids($p, 'Last')[0], SortBy::Words), self::TREE];
        yield 'a branch copied into itself' => [
            static fn(Plan $p): Operation => new CopyTopics(
                array_combine(self::ids($p, 'Mud', 'Worms'), [Build::ulid(1), Build::ulid(2)]),
                new Place(self::ids($p, 'Worms')[0]),
            ),
            "Tide\n  Mud\n    Worms\n      Mud\n        Worms\n  Sand\nWall\n  Stone\nLast",
        ];
        yield 'two branches copied, in their order' => [
            static fn(Plan $p): Operation => new CopyTopics(
                array_combine(self::ids($p, 'Mud', 'Worms', 'Stone'), [Build::ulid(1), Build::ulid(2), Build::ulid(3)]),
                Place::lastIn($p, Plan::ROOT),
            ),
            "Tide\n  Mud\n    Worms\n  Sand\nWall\n  Stone\nLast\nMud\n  Worms\nStone",
        ];
    }

    /** @param \Closure(Plan): Operation $make */
    #[DataProvider('regroupings')]
    public function testRegrouping(\Closure $make, string $expected): void
    {
        $plan = self::plan();
        $operation = $make($plan);
        $after = $operation->apply($plan);
        self::assertSame($expected, Build::outline($after));
        self::assertSame(self::TREE, Build::outline(Build::back($plan, $after)));
        $back = Transition::between($after, $plan)->apply($after);
        self::assertSame(self::TREE, Build::outline($back), 'The way back.');
        self::assertSame($expected, Build::outline(Transition::between($back, $after)->apply($back)), 'And forth again.');
    }

    /** @return iterable<string, array{\Closure(Plan): Operation, Reason}> */
    public static function refusals(): iterable
    {
        yield 'a parent around nothing that is there' => [
            static fn(Plan $p): Operation => new WrapTopics([Build::ulid(9)], Build::ulid(1)),
            Reason::Gone,
        ];
        yield 'a new parent with an id that is taken' => [
            static fn(Plan $p): Operation => new WrapTopics(self::ids($p, 'Mud'), self::ids($p, 'Wall')[0]),
            Reason::Exists,
        ];
        yield 'the plan itself dissolved' => [static fn(Plan $p): Operation => new DissolveTopics([Plan::ROOT]), Reason::Fixed];
        yield 'the tray copied' => [
            static fn(Plan $p): Operation => new CopyTopics([Plan::TRAY => Build::ulid(1)], new Place(Plan::ROOT)),
            Reason::Fixed,
        ];
        yield 'a copy with an id that is taken' => [
            static fn(Plan $p): Operation => new CopyTopics(
                array_combine(self::ids($p, 'Mud'), self::ids($p, 'Wall')),
                new Place(Plan::ROOT),
            ),
            Reason::Exists,
        ];
        yield 'a source twice' => [
            static fn(Plan $p): Operation => new AddSources([new Source(Build::ulid(1), 'A'), new Source(Build::ulid(1), 'B')]),
            Reason::Exists,
        ];
        yield 'a source that is not there' => [static fn(Plan $p): Operation => new RemoveSources([Build::ulid(1)]), Reason::Gone];
    }

    /** @param \Closure(Plan): Operation $make */
    #[DataProvider('refusals')]
    public function testRefused(\Closure $make, Reason $reason): void
    {
        $plan = self::plan();
        try {
            $make($plan)->apply($plan);
            self::fail('It should have been refused.');
        } catch (OperationRefused $why) {
            self::assertSame($reason, $why->reason);
        }
    }

    public function testAParentAroundTheDeepestTopicIsTooDeep(): void
    {
        $lines = array_map(static fn(int $level): string => str_repeat(' ', $level) . "L{$level}", range(0, Limits::LEVELS - 1));
        $plan = Build::plan(implode("\n", $lines));
        $this->expectExceptionObject(OperationRefused::tooDeep());
        (new WrapTopics(self::ids($plan, 'L0'), Build::ulid(1)))->apply($plan);
    }

    public function testSortingByWordsAndTargetPutsTheLargestFirstAndKeepsWhatIsAlike(): void
    {
        $plan = Build::plan("X\n  a\n  b\n  c\n  d");
        $plan = $plan->with($plan->topic(Build::id($plan, 'c'))->withNote(Build::note('three words here')));
        $plan = $plan->with($plan->topic(Build::id($plan, 'b'))->with(['target' => Target::of(90)]));
        $x = Build::id($plan, 'X');
        self::assertSame("X\n  c\n  a\n  b\n  d", Build::outline((new SortParts($x, SortBy::Words))->apply($plan)));
        self::assertSame("X\n  b\n  a\n  c\n  d", Build::outline((new SortParts($x, SortBy::Target))->apply($plan)));
    }

    public function testTitlesAreSortedAsTheLanguageHasThemAndNumbersByValue(): void
    {
        $plan = Build::plan("Zoo\nÄpfel\napfel 10\nApfel 9\nÖl\nOlga");
        self::assertSame(
            "Äpfel\nApfel 9\napfel 10\nÖl\nOlga\nZoo",
            Build::outline(
                (new SortParts(Plan::ROOT, SortBy::Title))->apply($plan->withProperties((new Properties())->with(['language' => 'de']))),
            ),
        );
        self::assertSame(
            "Apfel 9\napfel 10\nOlga\nZoo\nÄpfel\nÖl",
            Build::outline(
                (new SortParts(Plan::ROOT, SortBy::Title))->apply($plan->withProperties((new Properties())->with(['language' => 'sv']))),
            ),
        );
    }

    public function testANewMainSectionAroundOthersTakesTheirDye(): void
    {
        $plan = self::plan();
        $plan = (new SetField(Field::Dye, self::ids($plan, 'Tide'), Dye::of('orchil')))->apply($plan);
        self::assertSame(
            'orchil',
            (new WrapTopics(self::ids($plan, 'Tide'), Build::ulid(1)))->apply($plan)->topic(Build::ulid(1))->dye?->value,
        );
    }

    /** @return iterable<string, array{\Closure(Plan): Operation, string}> */
    public static function wordings(): iterable
    {
        yield 'added' => [
            static fn(Plan $p): Operation => AddTopics::one(new Topic(Build::ulid(1), 'Eels'), new Place(Plan::ROOT)),
            'Added “Eels”',
        ];
        yield 'untitled' => [
            static fn(Plan $p): Operation => AddTopics::one(new Topic(Build::ulid(1)), new Place(Plan::ROOT)),
            'Added a topic',
        ];
        yield 'caught' => [
            static fn(Plan $p): Operation => AddTopics::one(new Topic(Build::ulid(1), '“Quoted”'), new Place(Plan::TRAY)),
            'Caught “Quoted”',
        ];
        yield 'moved' => [
            static fn(Plan $p): Operation => new MoveTopics(self::ids($p, 'Mud', 'Sand'), new Place(Build::id($p, 'Wall'))),
            'Moved “Mud” and 1 more into “Wall”',
        ];
        yield 'made loose' => [
            static fn(Plan $p): Operation => new MoveTopics(self::ids($p, 'Mud'), new Place(Plan::TRAY)),
            'Moved “Mud” to the loose ideas',
        ];
        yield 'removed' => [
            static fn(Plan $p): Operation => new RemoveTopics(self::ids($p, 'Mud', 'Sand', 'Last')),
            'Removed “Mud” and 2 more',
        ];
        yield 'written on' => [static fn(Plan $p): Operation => new Retitle(Build::id($p, 'Mud'), 'Muddy banks'), 'Wrote “Muddy banks”'];
        yield 'retitled' => [static fn(Plan $p): Operation => new Retitle(Build::id($p, 'Mud'), 'Silt'), 'Retitled “Mud” as “Silt”'];
        yield 'emptied' => [static fn(Plan $p): Operation => new Retitle(Build::id($p, 'Mud'), ''), 'Retitled “Mud”'];
        yield 'flagged' => [
            static fn(Plan $p): Operation => new SetField(Field::Flag, self::ids($p, 'Mud'), Flag::ToCheck),
            'Set the flag of “Mud” to to check',
        ];
        yield 'unflagged' => [static fn(Plan $p): Operation => new SetField(Field::Flag, self::ids($p, 'Mud'), null), 'Took the flag of “Mud” away'];
        yield 'a target' => [
            static fn(Plan $p): Operation => new SetField(Field::Target, self::ids($p, 'Mud'), Target::of(300)),
            'Set the target of “Mud” to 300',
        ];
        yield 'the plan' => [
            static fn(Plan $p): Operation => new SetPlan(['page_size' => 'letter', 'author' => 'A']),
            'Changed the plan’s page size, author',
        ];
        yield 'several' => [
            static fn(Plan $p): Operation => new Compound([
                new RemoveTopics(self::ids($p, 'Mud')),
                new Retitle(Build::id($p, 'Sand'), 'x'),
            ]),
            'Removed “Mud”, and 1 more change',
        ];
        yield 'a long title' => [
            static fn(Plan $p): Operation => AddTopics::one(new Topic(Build::ulid(1), str_repeat('long ', 40)), new Place(Plan::ROOT)),
            'Added “' . mb_strimwidth(str_repeat('long ', 40), 0, 50, '…') . '”',
        ];
    }

    /** @param \Closure(Plan): Operation $make */
    #[DataProvider('wordings')]
    public function testWhatAChangeIsCalled(\Closure $make, string $expected): void
    {
        $plan = self::plan();
        self::assertSame($expected, Wording::of($make($plan), $plan));
    }

    public function testADifferenceNamesWhatChangedAndNoMore(): void
    {
        $plan = self::plan();
        self::assertTrue(Comparison::between($plan, $plan)->isSameTree());
        $mud = Build::id($plan, 'Mud');
        $retitled = (new Retitle($mud, 'Silt'))->apply($plan);
        self::assertSame([$mud => true], Comparison::between($plan, $retitled)->changed);
        self::assertTrue(Comparison::between($plan, $retitled)->isSameTree());
        $moved = (new MoveTopics([$mud], new Place(Build::id($plan, 'Wall'))))->apply($plan);
        self::assertSame([$mud], Comparison::between($plan, $moved)->moved);
        self::assertEqualsCanonicalizing(self::ids($plan, 'Tide', 'Wall'), Comparison::between($plan, $moved)->regrouped);
        $sorted = (new SortParts(Plan::ROOT, SortBy::Title))->apply($plan);
        self::assertSame(
            self::ids($plan, 'Last'),
            Comparison::between($plan, $sorted)->reordered,
            'One moved to the front tells the new order of three.',
        );
        $emptied = (new RemoveTopics(self::ids($plan, 'Stone')))->apply($plan);
        self::assertContains(Build::id($plan, 'Wall'), Comparison::between($plan, $emptied)->regrouped);
    }

    public function testTheMostThatCanStayStays(): void
    {
        $longest = static fn(array $values): array => array_keys(Ascending::longest($values, static fn(int $a, int $b): int => $a <=> $b));
        self::assertSame([], $longest([]));
        self::assertEqualsCanonicalizing(['a', 'c', 'd'], $longest(['a' => 1, 'b' => 9, 'c' => 2, 'd' => 3]));
        self::assertCount(1, $longest(['a' => 3, 'b' => 2, 'c' => 1]));
    }

    public function testGoingBackRestoresNotesKindsPropertiesAndSources(): void
    {
        $ids = new CountedIds('05');
        $then = self::plan()->withSources([Build::ulid(7) => new Source(Build::ulid(7), 'Pell')]);
        $then = $then->with(
            $then
                ->topic(Build::id($then, 'Mud'))
                ->withNote(Build::note('first', 'second'))
                ->with(['kind' => Kind::Quote, 'flag' => Flag::Key]),
        );
        $now = (new Compound([
            new RemoveSources([Build::ulid(7)]),
            new AddSources([new Source(Build::ulid(6), 'Other')]),
            new SetField(Field::Flag, self::ids($then, 'Mud', 'Sand'), Flag::Later),
            new SetPlan(['numbering' => 'none', 'target' => 900, 'due' => '2027-01-31']),
            new RemoveTopics(self::ids($then, 'Tide')),
            AddTopics::one(new Topic($ids->next(), 'Since'), new Place(Build::id($then, 'Wall'))),
        ]))->apply($then);
        $now = $now->with($now->topic(Build::id($now, 'Mud'))->withNote(Build::note('other')));
        $back = Transition::between($now, $then)->apply($now);
        self::assertSame(self::TREE, Build::outline($back));
        self::assertSame("first\nsecond", $back->topic(Build::id($back, 'Mud'))->note?->plainText());
        self::assertSame(
            [Kind::Quote, Flag::Key],
            [$back->topic(Build::id($back, 'Mud'))->kind, $back->topic(Build::id($back, 'Mud'))->flag],
        );
        self::assertNull($back->topic(Build::id($back, 'Sand'))->flag);
        self::assertEquals($then->properties, $back->properties);
        self::assertEquals($then->sources, $back->sources);
        self::assertSame([], Transition::between($then, $then)->operations);
    }
}
