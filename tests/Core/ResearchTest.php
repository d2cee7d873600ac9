<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Check\Research\Filing;
use Embrel\Check\Research\Guess;
use Embrel\Check\Research\Guesses;
use Embrel\Check\Research\Sign;
use Embrel\Check\Research\Sorted;
use Embrel\Citation\PartialDate;
use Embrel\Citation\Person;
use Embrel\Citation\Source;
use Embrel\Citation\SourceKind;
use Embrel\Id\CountedIds;
use Embrel\Operation\DivideNote;
use Embrel\Operation\FoldAs;
use Embrel\Operation\FoldTopics;
use Embrel\Operation\OperationRefused;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;
use Embrel\RichText\Mark;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;

/** What looks like research, and what becomes of it; topics into notes and notes into topics. */
final class ResearchTest extends TestCase
{
    #[DataProvider('titles')]
    public function testATopicIsTakenForResearchByItsSigns(string $title, ?Sign $sign): void
    {
        $plan = self::plan("Section\n  {$title}");
        $guesses = Guesses::of($plan, new CountedIds('03'));

        self::assertSame($sign, ($guesses[0] ?? null)?->sign);
    }

    /** @return iterable<array{string, Sign|null}> */
    public static function titles(): iterable
    {
        yield ['https://harrow.example/creek', Sign::Address];
        yield ['www.harrow.example', Sign::Address];
        yield ['“Resolved that the creek be stopped before Michaelmas”', Sign::Quotation];
        yield ['„Der Deich hält“', Sign::Quotation];
        yield ['"A wall is a promise" (Pell 1994, p. 61)', Sign::Quotation];
        yield ['Pell 1994, p. 61', Sign::KnownSource];
        yield ['Tides and Walls', Sign::KnownSource];
        yield ['Moor, Mud and Money, 1998', Sign::Reference];
        yield ['Oakes, ch. 3', Sign::Reference];
        yield ['Brent on silt (1998)', Sign::Reference];
        yield ['doi:10.5555/tn.32', Sign::Reference];
        yield ['The 1887 embankment', null];
        yield ['Ten years of watching', null];
        yield ['What “holding the line” means', null];
        yield ['Why 2050 matters', null];
        yield ['See the wall, the creek, and the mud', null];
    }

    public function testAQuotationIsTiedToTheSourceBesideIt(): void
    {
        $plan = self::plan(
            "Section\n  “Under it”\n    Moor, Mud and Money, 1998, p. 12\n  “After it”\n  Vane, Salt, 2001\n  “In brackets” (Pell 1994, p. 61)\n  “Alone”",
        );
        $by = [];
        foreach (Guesses::of($plan, new CountedIds('03')) as $guess) {
            $by[$plan->topic($guess->topic)->title] = $guess;
        }

        self::assertSame(
            [$by['Moor, Mud and Money, 1998, p. 12']->source?->id, '12'],
            [$by['“Under it”']->cited?->source, $by['“Under it”']->cited?->pages],
        );
        self::assertSame($by['Vane, Salt, 2001']->source?->id, $by['“After it”']->cited?->source);
        self::assertSame(
            [Build::ulid(8), '61', '“In brackets”'],
            [
                $by['“In brackets” (Pell 1994, p. 61)']->cited?->source,
                $by['“In brackets” (Pell 1994, p. 61)']->cited?->pages,
                $by['“In brackets” (Pell 1994, p. 61)']->text,
            ],
        );
        self::assertNull($by['“Alone”']->cited);
    }

    public function testTheSameSourceInTwoLinesBecomesOne(): void
    {
        $short = Guesses::of(self::plan("Vane 2001, ch. 3\nVane, Salt, 2001"), new CountedIds('03'));
        self::assertSame(
            [$short[1]->source?->id, 'ch. 3'],
            [$short[0]->cited?->source, $short[0]->pages],
            'A short reference finds the whole one, wherever it stands.',
        );
        $guesses = Guesses::of(self::plan("Moor, Mud and Money, 1998, p. 12\nMoor, Mud and money, 1998, p. 40"), new CountedIds('03'));

        self::assertSame($guesses[0]->source?->id, $guesses[1]->cited?->source);
    }

    public function testAQuotationGoesIntoTheNoteAboveWithItsCitationAndComesBack(): void
    {
        $plan = self::plan("Section\n  “A wall is a promise” (Pell 1994, p. 61)\n  Next");
        $operation = Sorted::operation(
            $plan,
            self::guess($plan, '“A wall is a promise” (Pell 1994, p. 61)'),
            Filing::Quote,
            null,
            null,
            Build::ulid(90),
        );
        $after = $operation->apply($plan);

        self::assertSame("Section\n  Next", Build::outline($after));
        $blocks = array_values($after->topic(Build::id($plan, 'Section'))->note->blocks ?? []);
        self::assertSame(
            [[NodeType::Blockquote, '“A wall is a promise” ']],
            array_map(static fn(Node $block): array => [$block->type, $block->plainText()], $blocks),
        );
        self::assertSame(['items' => [['source' => Build::ulid(8), 'pages' => '61']]], $blocks[0]->content[0]->content[2]->attrs);
        self::assertEquals(
            $plan->topics[Build::id($plan, 'Section')],
            Build::back($plan, $after)->topics[Build::id($plan, 'Section')]->with(['note' => null]),
        );
        self::assertSame(Build::outline($plan), Build::outline(Build::back($plan, $after)));
    }

    public function testAReferenceBecomesASourceThatRemembersItsPageAndNote(): void
    {
        $plan = self::plan("Section\n  Moor, Mud and Money, 1998, p. 12\n    Under it");
        $line = Build::id($plan, 'Moor, Mud and Money, 1998, p. 12');
        $plan = $plan->with($plan->topic($line)->withNote(Build::note('Ask Ada.')));
        $after = Sorted::operation(
            $plan,
            self::guess($plan, 'Moor, Mud and Money, 1998, p. 12'),
            Filing::Source,
            null,
            null,
            Build::ulid(90),
        )->apply($plan);

        self::assertSame("Section\n  Under it", Build::outline($after));
        $made = array_values(array_diff_key($after->sources, $plan->sources))[0];
        self::assertSame(['Mud and Money', "p. 12: Section\nAsk Ada."], [$made->title, $made->remark]);

        $plan = self::plan("Section\n  Pell 1994, p. 61");
        $after = Sorted::operation($plan, self::guess($plan, 'Pell 1994, p. 61'), Filing::Source, null, null, Build::ulid(90))->apply(
            $plan,
        );
        self::assertSame([1, 'p. 61: Section'], [\count($after->sources), $after->sources[Build::ulid(8)]->remark]);
    }

    public function testAsAsideAndIntoAnotherNote(): void
    {
        $plan = self::plan("Section\n  Oakes, ch. 3\nOther");
        $guess = self::guess($plan, 'Oakes, ch. 3');

        self::assertSame(
            Kind::Aside,
            Sorted::operation($plan, $guess, Filing::Aside, null, null, Build::ulid(90))->apply($plan)->topic($guess->topic)->kind,
        );
        $after = Sorted::operation($plan, $guess, Filing::Note, Build::id($plan, 'Other'), null, Build::ulid(90))->apply($plan);
        self::assertSame('Oakes, ch. 3', $after->topic(Build::id($plan, 'Other'))->note?->plainText());
    }

    public function testTopicsFoldWithAllThatIsUnderThemAndDivideAgain(): void
    {
        $plan = self::plan("Section\n  One\n    Two\n  Three");
        $two = $plan->topic(Build::id($plan, 'Two'));
        $plan = $plan->with($two->withNote(Note::of([Node::paragraph([Node::text('bold', [new Mark(MarkType::Bold)])], Build::ulid(50))])));
        $section = Build::id($plan, 'Section');
        $list = (new FoldTopics([Build::id($plan, 'One'), Build::id($plan, 'Three')], null, FoldAs::BulletList, Build::ulid(90)))->apply(
            $plan,
        );

        self::assertSame("One\nTwo\nbold\nThree", $list->topic($section)->note?->plainText());
        self::assertSame('Section', Build::outline($list));
        $divided = (new DivideNote($section, DivideNote::AT_ITEMS, Build::ulid(91)))->apply($list);
        self::assertSame("Section\n  One\n    Two\n  Three", Build::outline($divided));
        self::assertTrue($divided->topic($section)->note?->isEmpty());
        $kept = array_values($divided->topic(Build::id($divided, 'Two'))->note->blocks ?? []);
        self::assertTrue($kept[0]->content[0]->has(MarkType::Bold), 'Formatting is kept through both.');

        $paragraphs = (new FoldTopics([Build::id($plan, 'One')], null, FoldAs::Paragraphs, Build::ulid(92)))->apply($plan);
        self::assertSame(
            [NodeType::Paragraph, NodeType::Paragraph, NodeType::Paragraph],
            array_column(array_values($paragraphs->topic($section)->note->blocks ?? []), 'type'),
        );
    }

    public function testANoteDividesAtItsHeadings(): void
    {
        $plan = self::plan("Section\n  Old part");
        $section = Build::id($plan, 'Section');
        $heading = static fn(int $level, string $text, int $id): Node => new Node(
            NodeType::Heading,
            ['id' => Build::ulid($id), 'level' => $level],
            [Node::text($text, [new Mark(MarkType::Bold)])],
        );
        $plan = $plan->with(
            $plan
                ->topic($section)
                ->withNote(
                    Note::of([
                        Node::plain('Before', Build::ulid(30)),
                        $heading(1, 'First', 31),
                        Node::plain('In it', Build::ulid(32)),
                        $heading(2, 'Deeper', 33),
                        $heading(1, 'Second', 34),
                    ]),
                ),
        );
        $after = (new DivideNote($section, DivideNote::AT_HEADINGS, Build::ulid(91)))->apply($plan);

        self::assertSame("Section\n  First\n    Deeper\n  Second\n  Old part", Build::outline($after));
        self::assertSame(
            ['Before', 'In it'],
            [$after->topic($section)->note?->plainText(), $after->topic(Build::id($after, 'First'))->note?->plainText()],
        );
        self::assertSame(
            Build::outline($plan),
            Build::outline(Build::back($plan, $after)),
        );
    }

    public function testWhatCannotBeFoldedOrDividedIsSaid(): void
    {
        $plan = self::plan("Section\n  Part");
        $loose = $plan->parts(Plan::TRAY);
        self::assertSame([], $loose);
        foreach (
            [
                new FoldTopics([Build::id($plan, 'Section')], Build::id($plan, 'Part'), FoldAs::Paragraphs, Build::ulid(90)),
                new DivideNote(Build::id($plan, 'Part'), DivideNote::AT_HEADINGS, Build::ulid(90)),
                new FoldTopics([Build::ulid(77)], null, FoldAs::Paragraphs, Build::ulid(90)),
            ] as $operation
        ) {
            try {
                $operation->apply($plan);
                self::fail('It was applied.');
            } catch (OperationRefused $why) {
                self::assertNotSame('', $why->getMessage());
            }
        }
    }

    private static function guess(Plan $plan, string $title): Guess
    {
        foreach (Guesses::of($plan, new CountedIds('03')) as $guess) {
            if ($plan->topic($guess->topic)->title === $title) {
                return $guess;
            }
        }

        throw new \OutOfBoundsException("“{$title}” does not look like research.");
    }

    private static function plan(string $outline): Plan
    {
        return Build::plan($outline)->withSources([
            Build::ulid(8) => new Source(
                Build::ulid(8),
                'Tides and Walls: A History',
                SourceKind::Book,
                [new Person('Pell', 'Anna')],
                date: PartialDate::of('1994'),
            ),
        ]);
    }
}
