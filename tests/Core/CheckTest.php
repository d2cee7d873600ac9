<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Check\Balance;
use Embrel\Check\Check;
use Embrel\Check\Finding;
use Embrel\Check\Ground;
use Embrel\Check\Mending;
use Embrel\Check\Rule;
use Embrel\Check\Says;
use Embrel\Check\Text\Reader;
use Embrel\Check\Text\Reading;
use Embrel\Citation\PartialDate;
use Embrel\Citation\Person;
use Embrel\Citation\Source;
use Embrel\Citation\SourceKind;
use Embrel\Operation\AddTopics;
use Embrel\Operation\MoveTopics;
use Embrel\Operation\OperationRefused;
use Embrel\Operation\SetAside;
use Embrel\Operation\SwitchRule;
use Embrel\Plan\Arrows;
use Embrel\Plan\Checking;
use Embrel\Plan\Flag;
use Embrel\Plan\Kind;
use Embrel\Plan\Numbered;
use Embrel\Plan\Place;
use Embrel\Plan\Plan;
use Embrel\Plan\Relation;
use Embrel\Plan\Target;
use Embrel\Plan\Topic;
use Embrel\RichText\Mark;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;

final class CheckTest extends TestCase
{
    private const SOURCE = '03000000000000000000000001';
    private const OTHER = '03000000000000000000000002';
    private const TODAY = '2026-11-30';

    /**
     * @param list<string> $expected titles of the topics that are found, each as “a+b” where one finding is about several
     */
    #[DataProvider('cases')]
    public function testRules(Rule $rule, Plan $plan, array $expected): void
    {
        $found = self::found($plan, $rule);
        $titles = array_map(
            static fn(Finding $one): string => implode('+', array_map(
                static fn(string $id): string => $id === Plan::TRAY ? 'tray' : $plan->topic($id)->title,
                $one->topics,
            )) . ($one->topics === [] ? implode('+', array_map(static fn(string $id): string => $plan->sources[$id]->title, $one->sources)) : ''),
            $found,
        );
        self::assertSame($expected, $titles);
    }

    /** @return iterable<string, array{Rule, Plan, list<string>}> */
    public static function cases(): iterable
    {
        yield from self::wordsAndShares();
        yield from self::headings();
        yield from self::sourcesAndPointers();
        yield from self::texts();
        yield from self::ends();
    }

    /** @return iterable<string, array{Rule, Plan, list<string>}> */
    private static function wordsAndShares(): iterable
    {
        $bare = "Tide\nMud\n  Eels\nWall";
        yield 'nothing yet' => [Rule::NothingYet, self::plan($bare), ['Test plan']];
        yield 'nothing yet: no section, nothing to say' => [Rule::NothingYet, self::plan(''), []];
        yield 'nothing yet: one word is something' => [Rule::NothingYet, self::plan($bare, ['Tide' => 'Rises.']), []];
        yield 'where nothing is written, sections are not named one by one' => [Rule::EmptySection, self::plan($bare), []];
        yield 'a section without text' => [Rule::EmptySection, self::plan($bare, ['Wall' => 'Stands.']), ['Tide']];
        yield 'a branch without text, once, at its head' => [Rule::EmptyBranch, self::plan($bare, ['Wall' => 'Stands.']), ['Mud']];
        yield 'a branch with one word in it' => [Rule::EmptyBranch, self::plan($bare, ['Eels' => 'Long.']), []];
        yield 'the last section' => [Rule::EmptyLast, self::plan($bare, ['Tide' => 'Rises.']), ['Wall']];
        yield 'the last section is written' => [Rule::EmptyLast, self::plan($bare, ['Wall' => 'Stands.']), []];
        yield 'points are text' => [
            Rule::EmptySection,
            self::kind(self::plan("Tide\nMud\n  Eels\nWall", ['Wall' => 'Stands.']), 'Eels', Kind::Point),
            ['Tide'],
        ];
        yield 'asides print nothing' => [Rule::EmptySection, self::kind(self::plan($bare, ['Wall' => 'Stands.']), 'Tide', Kind::Aside), []];
        yield 'the list of references is made by itself' => [
            Rule::EmptyLast,
            self::numbered(self::plan("Tide\nWall\nReferences", ['Tide' => 'Rises.', 'Wall' => 'Stands.']), 'References'),
            [],
        ];
        $aimed = static fn(int $words, int $target): Plan => self::aimed(
            self::plan("Tide\nWall", ['Tide' => self::words($words), 'Wall' => self::words(100)]),
            ['Tide' => $target, 'Wall' => 100],
        );
        yield 'far under' => [Rule::FarUnder, $aimed(40, 100), ['Tide']];
        yield 'half is not far under' => [Rule::FarUnder, $aimed(50, 100), []];
        yield 'all of a plan that has just begun is under' => [
            Rule::FarUnder,
            self::aimed(self::plan("Tide\nWall", ['Tide' => self::words(10), 'Wall' => self::words(10)]), ['Tide' => 100, 'Wall' => 100]),
            [],
        ];
        yield 'far over' => [Rule::FarOver, $aimed(126, 100), ['Tide']];
        yield 'a quarter over is not far' => [Rule::FarOver, $aimed(125, 100), []];
        $shares = static fn(int $first): Plan => self::aimed(self::plan("A\nB\nC"), ['A' => $first, 'B' => 100, 'C' => 100]);
        yield 'out of proportion' => [Rule::OutOfProportion, $shares(300), ['A']];
        yield 'in proportion' => [Rule::OutOfProportion, $shares(250), []];
        yield 'two sections have no proportion' => [
            Rule::OutOfProportion,
            self::aimed(self::plan("A\nB"), ['A' => 900, 'B' => 100]),
            [],
        ];
        yield 'by words, where there are no targets' => [
            Rule::OutOfProportion,
            self::plan("A\nB\nC", ['A' => self::words(90), 'B' => self::words(10), 'C' => self::words(10)]),
            ['A'],
        ];
    }

    /** @return iterable<string, array{Rule, Plan, list<string>}> */
    private static function headings(): iterable
    {
        yield 'a part alone' => [Rule::OnlyPart, self::plan("Tide\n  Mud\nWall\n  Top\n  Foot"), ['Tide+Mud']];
        yield 'a point alone is an item' => [Rule::OnlyPart, self::kind(self::plan("Tide\n  Mud"), 'Mud', Kind::Point), []];
        $many = static fn(int $n): Plan => self::plan("Tide\n  Part " . implode("\n  Part ", range(1, $n)));
        yield 'thirteen parts' => [Rule::ManyParts, $many(13), ['Tide']];
        yield 'twelve parts' => [Rule::ManyParts, $many(12), []];
        $deep = "1\n  2\n    3\n      4\n        5\n          6\n            7";
        yield 'six levels: once, at the first' => [Rule::TooDeep, self::plan($deep), ['6']];
        yield 'an essay has three' => [Rule::TooDeep, self::with(self::plan($deep), ['form' => 'essay']), ['4']];
        yield 'five levels' => [Rule::TooDeep, self::plan("1\n  2\n    3\n      4\n        5"), []];
        $stacked = self::plan("Tide\n  Mud\n  Eels", ['Mud' => 'Deep.']);
        yield 'a heading under a heading' => [Rule::StackedHeadings, $stacked, ['Tide+Mud']];
        yield 'a sentence between' => [Rule::StackedHeadings, self::plan("Tide\n  Mud\n  Eels", ['Tide' => 'First mud.']), []];
        yield 'a book need not' => [Rule::StackedHeadings, self::with($stacked, ['form' => 'book']), []];
        yield 'the same title' => [Rule::SameTitle, self::plan("What was lost\n  Tide\nMud\n  what was lost?"), ['What was lost+what was lost?']];
        yield 'other titles' => [Rule::SameTitle, self::plan("What was lost\nWhat was won"), []];
        yield 'a question among statements' => [Rule::UnlikeTitles, self::plan("Tide\nWhy mud?\nWall\nEels"), ['Why mud?']];
        yield 'questions all' => [Rule::UnlikeTitles, self::plan("Why tide?\nWhy mud?\nWhy wall?"), []];
        yield 'half and half is a choice' => [Rule::UnlikeTitles, self::plan("Why tide?\nWhy mud?\nWall\nEels"), []];
        yield 'a full stop on one' => [Rule::UnlikeTitles, self::plan("Tide.\nMud\nWall\nEels"), ['Tide.']];
        yield 'three dots are no full stop' => [Rule::UnlikeTitles, self::plan("Tide...\nMud\nWall\nEels"), []];
        $capitals = "The Marsh Before The Wall\nWhat was lost with it\nWho gains and loses\nTen years of watching";
        yield 'capitals throughout on one' => [Rule::UnlikeTitles, self::plan($capitals), ['The Marsh Before The Wall']];
        yield 'a name is no capital' => [Rule::UnlikeTitles, self::plan("The marsh at Harrow Creek\nWhat was lost with it\nWho gains and loses"), []];
        yield 'German nouns have them' => [Rule::UnlikeTitles, self::with(self::plan($capitals), ['language' => 'de']), []];
        yield 'a long title' => [Rule::LongTitle, self::plan(str_repeat('mud ', 31) . "\nWall"), [trim(str_repeat('mud ', 31))]];
        yield 'two lines' => [Rule::LongTitle, self::plan(str_repeat('mud ', 30)), []];
        $untitled = self::plan("Tide\nMud", ['Mud' => 'Deep.']);
        $untitled = $untitled->with($untitled->topic(Build::id($untitled, 'Mud'))->withTitle(''));
        yield 'no title' => [Rule::NoTitle, $untitled, ['']];
    }

    /** @return iterable<string, array{Rule, Plan, list<string>}> */
    private static function sourcesAndPointers(): iterable
    {
        $cites = new Node(NodeType::Citation, ['items' => [['source' => self::SOURCE]]]);
        $quote = static fn(Node ...$more): Node => new Node(
            NodeType::Blockquote,
            ['id' => Build::ulid(50)],
            [Node::paragraph([Node::text('The creek mouth was never the same'), ...$more])],
        );
        yield 'a quotation without a source' => [Rule::QuoteUnsourced, self::plan('Tide', ['Tide' => [$quote()]]), ['Tide']];
        yield 'a quotation with one' => [Rule::QuoteUnsourced, self::plan('Tide', ['Tide' => [$quote($cites)]]), []];
        yield 'a quote that is a topic' => [Rule::QuoteUnsourced, self::kind(self::plan("Tide\n  Never the same"), 'Never the same', Kind::Quote), ['Never the same']];
        $book = self::source();
        $cited = self::plan('Tide', ['Tide' => [Node::paragraph([$cites], Build::ulid(51))]]);
        yield 'never cited' => [Rule::SourceUncited, self::plan('Tide')->withSources([$book->id => $book]), ['Mud']];
        yield 'cited' => [Rule::SourceUncited, $cited->withSources([$book->id => $book]), []];
        yield 'cited and complete' => [Rule::SourceIncomplete, $cited->withSources([$book->id => $book]), []];
        yield 'without a date' => [
            Rule::SourceIncomplete,
            $cited->withSources([$book->id => $book->with(['date' => null])]),
            ['Mud'],
        ];
        yield 'what is never cited may lack anything' => [
            Rule::SourceIncomplete,
            self::plan('Tide')->withSources([$book->id => $book->with(['date' => null])]),
            [],
        ];
        $page = new Source(self::SOURCE, 'Tide tables', SourceKind::WebPage, url: 'https://tides.example/now', publisher: 'Harbour office');
        yield 'a page that nobody read' => [Rule::SourceIncomplete, $cited->withSources([$page->id => $page]), ['Tide tables']];
        yield 'a page that was read on a day' => [
            Rule::SourceIncomplete,
            $cited->withSources([$page->id => $page->with(['accessed' => PartialDate::of('2026-05-03')])]),
            [],
        ];
        $double = [$book->id => $book, self::OTHER => $book->with(['id' => self::OTHER])];
        yield 'the same source twice' => [Rule::SourceDouble, $cited->withSources($double), ['Mud+Mud']];
        yield 'a source that is gone' => [Rule::SourceGone, $cited, ['Tide']];
        $linked = self::plan('Tide', ['Tide' => 'See https://tides.example/now, or ask.']);
        yield 'an address that is no source' => [Rule::AddressUnsourced, $linked, ['Tide']];
        yield 'an address that is one' => [Rule::AddressUnsourced, $linked->withSources([$page->id => $page]), []];

        $to = static fn(string $id): array => [Node::paragraph([new Node(NodeType::TopicRef, ['topic' => $id])], Build::ulid(52))];
        $two = self::plan("Tide\nMud");
        $mud = Build::id($two, 'Mud');
        $refers = $two->with($two->topic(Build::id($two, 'Tide'))->withNote(Note::of($to($mud))));
        yield 'a reference that leads somewhere' => [Rule::ReferenceLost, $refers, []];
        yield 'one to what does not print' => [Rule::ReferenceLost, self::kind($refers, 'Mud', Kind::Aside), ['Tide']];
        yield 'one to what was removed' => [Rule::ReferenceLost, self::plan('Tide', ['Tide' => $to(Build::ulid(99))]), ['Tide']];
        $picture = static fn(string $caption, string $alt): array => [
            new Node(NodeType::Picture, ['id' => Build::ulid(53), 'picture' => str_repeat('a', 64), 'caption' => $caption, 'alt' => $alt]),
        ];
        yield 'a picture without a caption' => [Rule::NoCaption, self::plan('Tide', ['Tide' => $picture('', 'A wall')]), ['Tide']];
        yield 'a picture that says nothing' => [Rule::NoAlternative, self::plan('Tide', ['Tide' => $picture('The wall', '')]), ['Tide']];
        yield 'a picture with both' => [Rule::NoAlternative, self::plan('Tide', ['Tide' => $picture('The wall', 'A wall')]), []];
    }

    /** @return iterable<string, array{Rule, Plan, list<string>}> */
    private static function texts(): iterable
    {
        $says = static fn(string $text, string $in = 'en'): Plan => self::with(self::plan('Tide', ['Tide' => $text]), ['language' => $in]);
        yield 'two spaces' => [Rule::TwoSpaces, $says('The  mud.'), ['Tide']];
        yield 'two spaces in a title' => [Rule::TwoSpaces, self::plan('The  tide'), ['The  tide']];
        yield 'spaces at the end are nobody’s business' => [Rule::TwoSpaces, $says('The mud.  '), []];
        $marked = Node::text('a  b  "c"', [new Mark(MarkType::Code)]);
        $code = [Node::paragraph([Node::text('Run '), $marked, Node::text(' “so”.')], Build::ulid(54))];
        yield 'code is as it is' => [Rule::TwoSpaces, self::plan('Tide', ['Tide' => $code]), []];
        yield 'code keeps its quotation marks' => [Rule::StraightQuotes, self::plan('Tide', ['Tide' => $code]), []];
        yield 'a word twice' => [Rule::WordTwice, $says('Down in the the mud.'), ['Tide']];
        yield 'a word twice beyond ASCII' => [Rule::WordTwice, $says('Ein Öl Öl Fass.', 'de'), ['Tide']];
        yield 'what may stand twice' => [Rule::WordTwice, $says('They had had mud, and that that was so. Ann-Ann and mud mud-flats.'), []];
        yield 'the end of one word is not the next' => [Rule::WordTwice, $says('In this is mud. Bother other.'), []];
        yield 'straight among curved' => [Rule::StraightQuotes, $says('“Mud,” said she. “Mud’s deep.” It\'s so.'), ['Tide']];
        yield 'straight throughout is a way of typing' => [Rule::StraightQuotes, $says('"Mud," said she. It\'s so.'), []];
        yield 'feet and inches stay' => [Rule::StraightQuotes, $says('“Mud,” she said, 6\' deep.'), []];
        yield 'two kinds of marks' => [Rule::UnlikeQuotes, $says('“Mud,” said she, “is deep.” „So it is.“'), ['Tide']];
        yield 'one kind' => [Rule::UnlikeQuotes, $says('„Schlamm“, sagte sie, „ist tief.“', 'de'), []];
        $short = str_repeat('The mud is deep and it is cold. ', 30);
        yield 'a sentence far longer than the rest' => [Rule::LongSentence, $says($short . ucfirst(trim(str_repeat('and so on it went ', 12))) . '.'), ['Tide']];
        yield 'as long as the rest' => [Rule::LongSentence, $says(str_repeat(ucfirst(trim(str_repeat('and so on it went ', 9))) . '. ', 25)), []];
        yield 'too few to compare' => [Rule::LongSentence, $says(ucfirst(trim(str_repeat('and so on it went ', 12))) . '.'), []];
        $passive = 'The wall was built by seven parishes. The creek was stopped. The land was drained at once. ';
        yield 'a passage in the passive' => [Rule::Passive, $says($passive), ['Tide']];
        yield 'a passage that says who' => [Rule::Passive, $says('Seven parishes built the wall. They stopped the creek. They drained the land at once.'), []];
        yield 'one in German' => [
            Rule::Passive,
            $says('Der Deich wurde gebaut. Das Land wurde von Hand entwässert. Danach wurden Schafe gehalten.', 'de'),
            ['Tide'],
        ];
        $marked = Node::text('First:', [new Mark(MarkType::Scaffold)]);
        $scaffold = Node::paragraph([$marked, Node::text(' The mud is deep.')], Build::ulid(55));
        yield 'scaffolding that was not rewritten' => [Rule::Scaffold, self::plan('Tide', ['Tide' => [$scaffold]]), ['Tide']];
        yield 'a text without scaffolding' => [Rule::Scaffold, $says('First: The mud is deep.'), []];
        yield 'of other languages nothing is guessed' => [Rule::Passive, $says($passive, 'fr'), []];
    }

    /** @return iterable<string, array{Rule, Plan, list<string>}> */
    private static function ends(): iterable
    {
        $flagged = static fn(Flag $flag): Plan => self::set(self::plan('Tide'), 'Tide', ['flag' => $flag]);
        yield 'a question' => [Rule::Flagged, $flagged(Flag::Question), ['Tide']];
        yield 'what comes next is no question' => [Rule::Flagged, $flagged(Flag::Next), []];
        $work = static fn(array $set): Plan => self::set(self::plan('Tide'), 'Tide', $set);
        yield 'work whose date has gone' => [Rule::WorkLate, $work(['due' => '2026-11-29']), ['Tide']];
        yield 'work of today' => [Rule::WorkLate, $work(['due' => self::TODAY]), []];
        yield 'work that was done' => [Rule::WorkLate, $work(['due' => '2026-11-29', 'done' => '2026-11-30']), []];
        yield 'work on an aside' => [Rule::WorkLate, $work(['due' => '2020-02-29', 'kind' => Kind::Aside]), ['Tide']];
        yield 'days the wrong way round' => [Rule::DaysReversed, $work(['begins' => '2026-12-05', 'due' => '2026-12-04']), ['Tide']];
        yield 'one day' => [Rule::DaysReversed, $work(['begins' => '2026-12-04', 'due' => '2026-12-04']), []];
        $loose = AddTopics::one(new Topic(Build::ulid(60), 'Eels'), new Place(Plan::TRAY));
        yield 'a loose idea' => [Rule::LooseIdeas, $loose->apply(self::plan('Tide')), ['tray']];
        yield 'none' => [Rule::LooseIdeas, self::plan('Tide'), []];
        $argued = static function (string $label, Arrows $arrows = Arrows::End, array $notes = []): Plan {
            $plan = self::plan("Claim\nReason\nThird", $notes);
            $ids = array_map(static fn(string $title): string => Build::id($plan, $title), ['Reason', 'Claim', 'Third']);
            $relations = [Build::ulid(70) => Relation::of(Build::ulid(70), $ids[0], $ids[1], $label, arrows: $arrows)];
            if ($label === 'against, answered') {
                $relations[Build::ulid(71)] = Relation::of(Build::ulid(71), $ids[2], $ids[0], 'answers');
            }

            return $plan->withRelations($relations);
        };
        yield 'a reason with nothing behind it' => [Rule::ReasonAlone, $argued('supports'), ['Reason+Claim']];
        yield 'by the way its arrow points' => [Rule::ReasonAlone, $argued('supports', Arrows::Start), ['Claim+Reason']];
        $cites = [Node::paragraph([new Node(NodeType::Citation, ['items' => [['source' => self::SOURCE]]])], Build::ulid(55))];
        yield 'a reason that cites' => [Rule::ReasonAlone, $argued('supports', notes: ['Reason' => $cites]), []];
        yield 'a relation that says something else' => [Rule::ReasonAlone, $argued('see also'), []];
        yield 'an objection' => [Rule::ObjectionOpen, $argued('speaks against'), ['Reason+Claim']];
        yield 'an objection that is answered' => [Rule::ObjectionOpen, $argued('against, answered'), []];
    }

    public function testEveryRuleHasCasesThatFindSomethingAndCasesThatDoNot(): void
    {
        $seen = [];
        foreach (self::cases() as [$rule, , $expected]) {
            $seen[$rule->value][$expected === [] ? 'not' : 'found'] = true;
        }
        // A heading with a title, one source alone and the like need no case; long paragraphs have a test of their own.
        $never = [Rule::NoTitle, Rule::SourceDouble, Rule::SourceGone, Rule::NoCaption, Rule::LongParagraph];
        foreach (Rule::cases() as $rule) {
            \in_array($rule, $never, true) ?: self::assertCount(2, $seen[$rule->value] ?? [], $rule->value);
            self::assertNotSame('', Says::rule($rule) . Says::why($rule) . Says::act($rule));
        }
    }

    public function testALongParagraphAmongShortOnes(): void
    {
        $paragraphs = [...array_fill(0, 20, 'The mud is deep. The water is cold.'), trim(str_repeat('Mud is deep. ', 70))];
        $plan = self::plan('Tide', ['Tide' => array_map(
            static fn(string $text, int $i): Node => Node::plain($text, Build::ulid(200 + $i)),
            $paragraphs,
            array_keys($paragraphs),
        )]);
        $found = self::found($plan, Rule::LongParagraph);
        self::assertCount(1, $found);
        self::assertSame(210, $found[0]->facts['words']);
    }

    public function testTheSeriousComeFirstAndEveryFindingIsPutInWords(): void
    {
        foreach (self::cases() as $name => [, $plan]) {
            $check = Check::ofWhole($plan, self::TODAY);
            $says = new Says($check->ground);
            $weights = array_map(static fn(Finding $one): string => $one->rule->weight()->value, $check->findings);
            $sorted = $weights;
            $order = ['serious' => 0, 'doubtful' => 1, 'slight' => 2];
            usort($sorted, static fn(string $a, string $b): int => $order[$a] <=> $order[$b]);
            self::assertSame($sorted, $weights, $name);
            foreach ($check->groups() as $group) {
                $words = $says->heading($group) . '|' . $says->detail($group);
                foreach ($group->findings as $finding) {
                    $words .= '|' . $says->line($finding);
                    self::assertSame($finding->key(), Checking::finding($finding->key()), 'it can be set aside');
                }
                self::assertDoesNotMatchRegularExpression('/\|\s*\||\bArray\b| {2}(?!tide|mud)/', $words, $name);
            }
        }
    }

    public function testWhatIsReadInANoteIsKeptAsItIs(): void
    {
        $note = self::plan('T', ['T' => 'The  mud “is” the the "deep" https://a.example/b.'])->topics;
        $note = array_values(array_filter($note, static fn($topic): bool => $topic->note !== null))[0]->note;
        $reading = Reader::note($note, 'en');
        $stored = json_decode((string) json_encode($reading->toArray()), true);
        self::assertEquals($reading, Reading::read($stored, 'en'));
        self::assertNull(Reading::read($stored, 'de'), 'in another language it is read anew');
        self::assertNull(Reading::read(['v' => 0] + $stored, 'en'), 'and by other rules');
        self::assertNull(Reading::read(null, 'en'));
        self::assertNull(Reading::read(['spots' => [['?']]] + $stored, 'en'));
    }

    /** Texts made to be slow are read to their end: what grows with the square of their length would not come back. */
    public function testTextsMadeToBeSlowAreRead(): void
    {
        foreach (['aa', 'gegeg', "\u{E4}", 'a ', 'is a', 'wird ge', '"', "'", '. ', '  ', '“a', 'www.', 'aly ', ') '] as $piece) {
            foreach (['en', 'de'] as $language) {
                $text = 'wird is ' . str_repeat($piece, intdiv(400_000, \strlen($piece)));
                $reading = Reader::note(Note::of([Node::plain($text, Build::ulid(1))]), $language);
                self::assertSame(1, $reading->paragraphs->count, "{$piece} in {$language}");
            }
        }
    }

    public function testRulesAreSwitchedOffAndFindingsSetAside(): void
    {
        $plan = self::plan("Tide\nMud\nWall", ['Wall' => 'The  wall.']);
        $check = Check::ofWhole($plan);
        $empty = self::found($plan, Rule::EmptySection);
        self::assertCount(2, $empty);
        $aside = (new SetAside($empty[0]->key(), 'It is a drawing'))->apply($plan);
        $after = Check::ofWhole($aside);
        self::assertSame([$empty[0]->key()], array_map(static fn(Finding $one): string => $one->key(), $after->setAside));
        self::assertCount(\count($check->findings) - 1, $after->findings);
        self::assertSame(\count($check->findings), \count(Check::ofWhole((new SetAside($empty[0]->key(), null))->apply($aside))->findings));
        $off = (new SwitchRule('empty-section', false))->apply((new SwitchRule('of-another-time', false))->apply($plan));
        self::assertSame(['empty-section', 'of-another-time'], $off->properties->rulesOff);
        self::assertSame([], self::found($off, Rule::EmptySection));
        self::assertSame(['of-another-time'], (new SwitchRule('empty-section', true))->apply($off)->properties->rulesOff);
        $this->expectException(OperationRefused::class);
        (new SetAside('no key at all', ''))->apply($plan);
    }

    public function testWhatIsSetAsideStaysSoWhereverItsTopicGoes(): void
    {
        $plan = self::plan("Tide\nMud\n  Eels", ['Eels' => 'Down in the the mud.', 'Tide' => 'Rises.']);
        $key = self::found($plan, Rule::WordTwice)[0]->key();
        $moved = (new MoveTopics([Build::id($plan, 'Eels')], new Place(Build::id($plan, 'Tide'))))->apply($plan);
        self::assertSame($key, self::found($moved, Rule::WordTwice)[0]->key());
    }

    /** @param array<string, string|list<Node>> $notes */
    #[DataProvider('mends')]
    public function testMending(Rule $rule, string $before, string $after, string $language = 'en'): void
    {
        $typeset = '“One,” “two,” “three,” “four,” “five”.';
        $plan = self::with(self::plan("Tide\nMud", ['Tide' => $before, 'Mud' => $typeset]), ['language' => $language]);
        $findings = self::found($plan, $rule);
        self::assertNotSame([], $findings);
        $mended = Mending::of($plan, $findings)->apply($plan);
        self::assertSame($after, $mended->topic(Build::id($plan, 'Tide'))->note?->plainText());
        self::assertSame([], self::found($mended, $rule));
    }

    /** @return iterable<string, array{0: Rule, 1: string, 2: string, 3?: string}> */
    public static function mends(): iterable
    {
        yield 'spaces' => [Rule::TwoSpaces, 'The  mud   is deep.', 'The mud is deep.'];
        yield 'a word' => [Rule::WordTwice, 'Down in the the mud mud.', 'Down in the mud.'];
        yield 'double marks' => [Rule::StraightQuotes, '"Mud" ("deep") is "it".', '“Mud” (“deep”) is “it”.'];
        yield 'an apostrophe' => [Rule::StraightQuotes, "It's the parishes' wall.", 'It’s the parishes’ wall.'];
        yield 'single marks' => [Rule::StraightQuotes, "He said 'mud is deep.' So 'twas.", 'He said ‘mud is deep.’ So ’twas.'];
        yield 'German ones' => [Rule::StraightQuotes, '"Ist\'s tief?" fragte sie.', '„Ist’s tief?“ fragte sie.', 'de'];
    }

    public function testMendingKeepsHowTheTextIsSet(): void
    {
        $bold = [new Mark(MarkType::Bold)];
        $inlines = [Node::text('The '), Node::text(' mud', $bold), Node::text('  is deep')];
        $plan = self::plan('Tide', ['Tide' => [Node::paragraph($inlines, Build::ulid(57))]]);
        $mended = Mending::of($plan, Check::ofWhole($plan)->findings)->apply($plan);
        $inlines = array_values($mended->topic(Build::id($plan, 'Tide'))->note->blocks ?? [])[0]->content;
        self::assertSame(['The ', 'mud', ' is deep'], array_map(static fn(Node $one): string => $one->text, $inlines));
        self::assertTrue($inlines[1]->has(MarkType::Bold));
    }

    public function testSourcesThatAreTheSameBecomeOne(): void
    {
        $book = self::source();
        $item = static fn(string $id): array => ['source' => $id, 'pages' => '3'];
        $cite = static fn(string ...$ids): Node => new Node(NodeType::Citation, ['items' => array_map($item, $ids)]);
        $third = '03000000000000000000000003';
        $plan = self::plan("Tide\nMud", [
            'Tide' => [Node::paragraph([$cite(self::OTHER, $third)], Build::ulid(58))],
            'Mud' => [Node::paragraph([$cite(self::SOURCE)], Build::ulid(59))],
        ]);
        $same = static fn(string $id): Source => $book->with(['id' => $id]);
        $plan = $plan->withSources([self::SOURCE => $book, self::OTHER => $same(self::OTHER), $third => $same($third)]);
        $double = self::found($plan, Rule::SourceDouble);
        self::assertCount(2, $double);
        $mended = Mending::of($plan, $double)->apply($plan);
        self::assertSame([self::SOURCE], array_keys($mended->sources));
        $citation = [...$mended->topic(Build::id($plan, 'Tide'))->note?->find(NodeType::Citation) ?? []][0];
        self::assertSame([$item(self::SOURCE), $item(self::SOURCE)], $citation->attrs['items']);
    }

    public function testBalance(): void
    {
        $plan = self::aimed(self::plan("Tide\nMud\nWall", ['Tide' => self::words(40)]), ['Tide' => 100, 'Mud' => 500]);
        $balance = Balance::of(new Ground($plan, []));
        self::assertSame(
            [['1', 'Tide', 40, 100, true], ['2', 'Mud', 0, 500, true], ['3', 'Wall', 0, 0, false]],
            array_map(static fn(array $one): array => array_values(array_diff_key($one, ['id' => 1, 'dye' => 1])), $balance->sections),
        );
        self::assertSame([200, 500], [$balance->even, $balance->scale]);
        self::assertSame([0, 1], [Balance::of(new Ground(self::plan(''), []))->even, Balance::of(new Ground(self::plan(''), []))->scale]);
    }

    /** @return list<Finding> what one rule has found */
    private static function found(Plan $plan, Rule $rule): array
    {
        $all = Check::ofWhole($plan, self::TODAY)->findings;

        return array_values(array_filter($all, static fn(Finding $one): bool => $one->rule === $rule));
    }

    private static function source(): Source
    {
        $by = [new Person('Pell', 'Ada')];

        return new Source(self::SOURCE, 'Mud', SourceKind::Book, $by, date: PartialDate::of('1994'), publisher: 'Quay');
    }

    /** @param array<string, string|list<Node>> $notes title → text or blocks */
    private static function plan(string $outline, array $notes = []): Plan
    {
        $plan = $outline === '' ? Plan::titled('Test plan') : Build::plan($outline);
        $n = 100;
        foreach ($notes as $title => $note) {
            $blocks = \is_string($note) ? [Node::plain($note, Build::ulid($n++))] : $note;
            $plan = $plan->with($plan->topic(Build::id($plan, (string) $title))->withNote(Note::of($blocks)));
        }

        return $plan;
    }

    private static function words(int $count): string
    {
        return trim(str_repeat('mud ', $count));
    }

    /** @param array<string, mixed> $changes */
    private static function set(Plan $plan, string $title, array $changes): Plan
    {
        return $plan->with($plan->topic(Build::id($plan, $title))->with($changes));
    }

    private static function kind(Plan $plan, string $title, Kind $kind): Plan
    {
        return self::set($plan, $title, ['kind' => $kind]);
    }

    private static function numbered(Plan $plan, string $title): Plan
    {
        return self::set($plan, $title, ['numbered' => Numbered::None]);
    }

    /** @param array<string, int> $targets */
    private static function aimed(Plan $plan, array $targets): Plan
    {
        foreach ($targets as $title => $words) {
            $plan = self::set($plan, $title, ['target' => Target::of($words)]);
        }

        return $plan;
    }

    /** @param array<string, mixed> $properties */
    private static function with(Plan $plan, array $properties): Plan
    {
        return $plan->withProperties($plan->properties->with($properties));
    }
}
