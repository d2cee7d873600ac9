<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Citation\Person;
use Embrel\Citation\Source;
use Embrel\Id\CountedIds;
use Embrel\Plan\Edit;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;
use Embrel\Plan\Relation;
use Embrel\Plan\Topic;
use Embrel\Prompt\Drafting\FirstDraft;
use Embrel\Prompt\Drafting\Frames;
use Embrel\Prompt\Drafting\Piece;
use Embrel\Prompt\Drafting\Sketch;
use Embrel\Prompt\Drafting\Titled;
use Embrel\RichText\Mark;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;
use Embrel\Words;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;
use Tests\Core\Build\Notes;
use Tests\Core\Build\Trees;

/** A first draft says what stands in the branch and nothing else; all that only holds it together is marked. */
final class FirstDraftTest extends TestCase
{
    /**
     * @param string $outline lines; what begins with - is a point, with > a quotation, with # an aside
     * @param array<string, list<Node>> $notes title → blocks
     */
    private static function plan(string $outline, array $notes = [], string $language = 'en'): Plan
    {
        $plan = Build::plan($outline);
        $edit = new Edit($plan->withProperties($plan->properties->with(['language' => $language])));
        foreach ($plan->topics as $id => $topic) {
            $kind = ['-' => Kind::Point, '>' => Kind::Quote, '#' => Kind::Aside][$topic->title[0] ?? ''] ?? Kind::Section;
            $title = ltrim($topic->title, '->#');
            $topic = $topic->with(['title' => $title, 'kind' => $kind]);
            $edit->put(isset($notes[$title]) ? $topic->withNote(Note::of($notes[$title])) : $topic);
        }

        return $edit->done()->withSources(
            ['0000000000000000000000000S' => new Source('0000000000000000000000000S', 'Slow Water', authors: [new Person('Pell', 'Ada')])],
        );
    }

    private static function cite(): Node
    {
        return new Node(NodeType::Citation, ['items' => [['source' => '0000000000000000000000000S', 'pages' => '12']]]);
    }

    /** As it is read aloud: scaffolding in brackets, quotations and other blocks by what they are. */
    private static function read(Sketch $sketch): string
    {
        $lines = [];
        foreach ($sketch->parts as $part) {
            $line = [];
            foreach ($part as $piece) {
                $line[] = match (true) {
                    $piece->what === Piece::SCAFFOLD => "[{$piece->text()}]",
                    $piece->block() !== null => "<{$piece->what}> {$piece->text()}",
                    default => $piece->text(),
                };
            }
            $lines[] = implode(' ', $line);
        }

        return implode("\n", $lines);
    }

    private static function draft(Plan $plan, string $title): string
    {
        return self::read(FirstDraft::of($plan, Build::id($plan, $title)));
    }

    /** @return iterable<string, array{string, array<string, list<Node>>, string, string, string}> */
    public static function drafts(): iterable
    {
        yield 'points that are sentences' => [
            "The wall fails\n  -The facing has to be renewed.\n  -The pumps are old\n  -But the farmers must have it",
            [],
            'en',
            'The wall fails',
            "[This section is about one thing: the wall fails.]\nThe facing has to be renewed. [There is also this:] The pumps are old. But the farmers must have it.\n"
            . '[Which leads back to the beginning: the wall fails.]',
        ];
        yield 'points that are names, with what their notes say' => [
            "The wall is failing\n  -The flood of 1953\n  -The flood of 1978",
            ['The flood of 1953' => [Node::plain('Forty people died.', 'A'), Node::plain('The wall broke in six places.', 'B')]],
            'en',
            'The wall is failing',
            "[This section makes one claim: The wall is failing.]\n[First: the flood of 1953.] Forty people died.\nThe wall broke in six places.\n"
            . "[Then: the flood of 1978.]\n[All this bears on the claim: The wall is failing.]",
        ];
        yield 'a question' => [
            "How fast will the mud rise?\n  -It rises by a centimetre a year.\n  -Will that be enough?",
            [],
            'en',
            'How fast will the mud rise?',
            "[This section asks: How fast will the mud rise?]\nIt rises by a centimetre a year. Will that be enough?\n[So back to the question: How fast will the mud rise?]",
        ];
        yield 'a short quotation, introduced and cited' => [
            "Water\n  >Water is slow.",
            ['Water is slow.' => [Node::paragraph([self::cite()], 'A')]],
            'en',
            'Water',
            "[This section is about one thing: Water.]\n[In the words of Ada Pell:] “Water is slow.” ",
        ];
        yield 'a quotation of nobody' => [
            "Water\n  >Water is slow.",
            [],
            'en',
            'Water',
            "[This section is about one thing: Water.]\n[In the words of a source that is still to be named:] “Water is slow.”",
        ];
        yield 'a quotation whose title only says what it is' => [
            "Water\n  >Pell on water",
            ['Pell on water' => [Node::paragraph([Node::text('“Water is slow.” '), self::cite()], 'A')]],
            'en',
            'Water',
            "[This section is about one thing: Water.]\n[In the words of Ada Pell:] “Water is slow.”  ",
        ];
        yield 'sections that have none of their own go into the one above' => [
            "The town\n  Who is on the bus\n  Costs",
            ['Who is on the bus' => [Node::plain('I counted.', 'A')]],
            'en',
            'The town',
            "[This section is about one thing: the town.]\n[First: who is on the bus.] I counted.\n[There is also this: Costs.]\n[Which leads back to the beginning: the town.]",
        ];
        yield 'sections with sections of their own are told of' => [
            "The town\n  Buses\n    Routes\n  Costs\n    Fares",
            [],
            'en',
            'The town',
            '[This section is about one thing: the town.] [It has these parts: Buses and Costs.]',
        ];
        yield 'what is written needs no opening, and is not said again' => [
            "The town\n  -Buses are late.",
            ['The town' => [Node::plain('It is written.', 'A')]],
            'en',
            'The town',
            'Buses are late.',
        ];
        yield 'an aside is none of the draft' => [
            "The town\n  #Ask Pell\n    -Buses are late.",
            [],
            'en',
            'The town',
            '[This section is about one thing: the town.]',
        ];
        yield 'German' => [
            "Die Mauer hält nicht\n  -Der Bau von 1887\n  -Die Pumpen sind alt\n  -Einwand der Bauern\n  >Wasser ist langsam.",
            ['Wasser ist langsam.' => [Node::paragraph([self::cite()], 'A')]],
            'de',
            'Die Mauer hält nicht',
            "[Darum geht es in diesem Abschnitt: Die Mauer hält nicht.]\n[Zuerst: Der Bau von 1887.] [Hinzu kommt:] Die Pumpen sind alt. [Auf der anderen Seite: Einwand der Bauern.] "
            . "[Mit den Worten von Ada Pell:] „Wasser ist langsam.“ \n[Das führt zurück zum Anfang: Die Mauer hält nicht.]",
        ];
        yield 'titles that lead over by themselves' => [
            "What to do\n  -First, a dam\n  -Then the sluice\n  -An example: Marl\n  -Objections",
            [],
            'en',
            'What to do',
            "[This section is about one thing: what to do.]\n[First, a dam.] [Then the sluice.] [An example: Marl.] [On the other hand: Objections.]\n"
                . '[Which leads back to the beginning: what to do.]',
        ];
        yield 'a language without scaffolding has what stands there alone' => [
            "Le mur\n  -Il fuit.\n  -Les pompes",
            [],
            'fr',
            'Le mur',
            'Il fuit. Les pompes.',
        ];
        yield 'nothing to say' => ["\n  -", [], 'en', '', ''];
    }

    /** @param array<string, list<Node>> $notes */
    #[DataProvider('drafts')]
    public function testADraftReadsAsProse(string $outline, array $notes, string $language, string $title, string $expected): void
    {
        $plan = self::plan($outline === "\n  -" ? "Untitled\n  -" : $outline, $notes, $language);
        $id = $title === '' ? Build::id($plan, 'Untitled') : Build::id($plan, $title);
        $plan = $title === '' ? $plan->with($plan->topic($id)->withTitle('')) : $plan;
        self::assertSame($expected, self::read(FirstDraft::of($plan, $id)));
    }

    #[TestWith(['leads to', true, 'What follows from it:'])]
    #[TestWith(['because of', false, 'What follows from it:'])]
    #[TestWith(['because of', true, 'The reason for this:'])]
    #[TestWith(['contradicts', true, 'On the other hand:'])]
    #[TestWith(['is an example of', false, 'An example:'])]
    #[TestWith(['', true, 'There is also this:'])]
    public function testARelationBetweenNeighboursSaysHowOneLeadsToTheNext(string $label, bool $isForth, string $transition): void
    {
        $plan = self::plan("Section\n  -The wall is old.\n  -The pumps are old.");
        [$a, $b] = [Build::id($plan, 'The wall is old.'), Build::id($plan, 'The pumps are old.')];
        $plan = $plan->withRelations(['R' => Relation::of('R', $isForth ? $a : $b, $isForth ? $b : $a, $label)]);
        self::assertStringContainsString("The wall is old. [{$transition}] The pumps are old.", self::draft($plan, 'Section'));
    }

    #[TestWith(['The wall is old', Titled::Statement, 'en'])]
    #[TestWith(['It costs less than it seems to', Titled::Statement, 'en'])]
    #[TestWith(['A town that works at night needs a way home', Titled::Statement, 'en'])]
    #[TestWith(['Why the wall is old', Titled::Name, 'en'])]
    #[TestWith(['Costs of the wall', Titled::Name, 'en'])]
    #[TestWith(['Who pays?', Titled::Question, 'en'])]
    #[TestWith(['Plants of the upper marsh', Titled::Name, 'en'])]
    #[TestWith(['Die Mauer ist alt', Titled::Statement, 'de'])]
    #[TestWith(['Warum die Mauer alt ist', Titled::Name, 'de'])]
    #[TestWith(['Kosten der Mauer', Titled::Name, 'de'])]
    #[TestWith(['Verkauf der Waren', Titled::Name, 'de'])]
    public function testATitleIsToldToBeASentenceOrAName(string $title, Titled $kind, string $language): void
    {
        self::assertSame($kind, Titled::of($title, $language));
    }

    /** Until it is rewritten, scaffolding does not print, does not count, and leaves no gap. */
    public function testScaffoldingNeverPrints(): void
    {
        $plan = self::plan("The wall\n  -The pumps are old.\n  -The wall is old.\n  -Costs");
        $note = Note::of(FirstDraft::of($plan, Build::id($plan, 'The wall'))->blocks(new CountedIds()));
        self::assertSame('The pumps are old. The wall is old.', $note->printing()->plainText());
        self::assertSame(8, $note->words());
        self::assertStringContainsString('There is also this: The wall is old. And finally: Costs.', $note->plainText());
        self::assertEquals($note, Note::fromJson($note->toJson()), 'It is stored and read as it is.');
    }

    public function testTheSectionsOfABranchAreDraftedOneAfterTheOther(): void
    {
        $plan = self::plan("A\n  B\n    C\n    D\n  E\n    -F\nG\n#H\n  I");
        $titles = static fn(array $ids): array => array_map(static fn(string $id): string => $plan->topic($id)->title, $ids);
        self::assertSame(['A', 'B', 'E', 'G'], $titles(FirstDraft::sections($plan, Plan::ROOT)));
        self::assertSame(['B'], $titles(FirstDraft::sections($plan, Build::id($plan, 'B'))));
        self::assertSame([], FirstDraft::sections(Plan::titled('Nothing'), Plan::ROOT));
    }

    /**
     * On plans at random, in both languages: no word and no number that is not in the branch or in the frames, no citation too
     * many or too few, and every quotation.
     */
    public function testNothingIsSaidThatIsNotInTheBranch(): void
    {
        $frames = array_map(mb_strtolower(...), Frames::words());
        for ($seed = 1; $seed <= 200; ++$seed) {
            $plan = self::cited(Notes::on(Trees::random($seed, 25), $seed, [str_repeat('a', 64)]), $seed);
            $plan = $plan->withProperties($plan->properties->with(['language' => $seed % 2 === 0 ? 'de' : 'en']));
            foreach (FirstDraft::sections($plan, Plan::ROOT) as $id) {
                $sketch = FirstDraft::of($plan, $id);
                self::assertEquals($sketch, FirstDraft::of($plan, $id), 'The same plan has the same draft.');
                $note = Note::of($sketch->blocks(new CountedIds()));
                $branch = self::branch($plan, $id);
                $said = array_map(mb_strtolower(...), array_values(Words::of($note->plainText(true))));
                $known = array_map(mb_strtolower(...), array_values(Words::of($branch['text'])));
                self::assertSame([], array_values(array_diff($said, $known, $frames)), "Plan {$seed}, {$plan->topic($id)->title}");
                self::assertEqualsCanonicalizing($branch['cites'], self::cites($note), "Plan {$seed}");
                $flat = self::flat($note->plainText(true));
                foreach ($branch['quotes'] as $quote) {
                    self::assertStringContainsString($quote, $flat, "Plan {$seed}");
                }
            }
        }
    }

    /** Citations and names where a note has room for them. */
    private static function cited(Plan $plan, int $seed): Plan
    {
        mt_srand($seed);
        $edit = new Edit($plan);
        $ids = new CountedIds('06');
        foreach ($plan->topics as $id => $topic) {
            if ($topic->note !== null && mt_rand(0, 1) === 1) {
                $pages = (string) mt_rand(1, 900);
                $cite = new Node(NodeType::Citation, ['items' => [['source' => '0000000000000000000000000S', 'pages' => $pages]]]);
                $edit->put($topic->withNote(Note::of([
                    ...$topic->note->blocks,
                    Node::paragraph([Node::text('Counted by Orrin Lane in 18' . mt_rand(10, 99) . ' '), $cite], $ids->next()),
                ])));
            }
        }

        return $edit->done()->withSources(
            ['0000000000000000000000000S' => new Source('0000000000000000000000000S', 'Slow Water', authors: [new Person('Pell', 'Ada')])],
        );
    }

    /** @return array{text: string, cites: list<string>, quotes: list<string>} what the draft of a section may say and must keep */
    private static function branch(Plan $plan, string $section): array
    {
        $out = ['text' => "{$plan->topic($section)->title} Ada Pell Slow Water", 'cites' => [], 'quotes' => []];
        $mayTake = static fn(Topic $topic): bool => $topic->kind === Kind::Point || $topic->kind === Kind::Quote;
        $drafted = array_flip(FirstDraft::sections($plan, Plan::ROOT));
        $walk = static function (string $id) use (&$walk, &$out, $plan, $mayTake, $drafted): void {
            foreach ($plan->parts($id) as $part) {
                $topic = $plan->topics[$part];
                if ($topic->kind === Kind::Section) {
                    $out['text'] .= " {$topic->title}";
                }
                if (!$mayTake($topic) && ($topic->kind === Kind::Aside || isset($drafted[$part]))) {
                    continue;
                }
                $note = $topic->note?->printing();
                $out['text'] .= " {$topic->title} {$note?->plainText(true)}";
                array_push($out['cites'], ...$note === null ? [] : self::cites($note));
                $isMarked = preg_match('/\A\s*["“„«»‘]/u', (string) $note?->plainText()) === 1;
                if ($topic->kind === Kind::Quote && $topic->title !== '' && !$isMarked) {
                    $out['quotes'][] = self::flat($topic->title);
                }
                if ($topic->kind === Kind::Quote && $note !== null) {
                    foreach ($note->blocks as $block) {
                        $out['quotes'][] = self::flat($block->plainText(true));
                    }
                }
                $walk($part);
            }
        };
        $walk($section);

        return $out;
    }

    private static function flat(string $text): string
    {
        return trim((string) preg_replace('/[\s"“”„«»]+/u', ' ', $text));
    }

    /** @return list<string> */
    private static function cites(Note $note): array
    {
        $cites = [];
        foreach ($note->find(NodeType::Citation) as $node) {
            $cites[] = json_encode($node->attrs['items'], JSON_THROW_ON_ERROR);
        }

        return $cites;
    }

    public function testScaffoldingMayStandWhereverTextDoes(): void
    {
        $scaffold = [new Mark(MarkType::Scaffold)];
        $note = Note::of([
            new Node(NodeType::BulletList, ['id' => 'A'], [
                new Node(NodeType::ListItem, [], [Node::paragraph([Node::text('All of it.', $scaffold)])]),
                new Node(NodeType::ListItem, [], [Node::paragraph([Node::text('Some', $scaffold), Node::text(' stays.')])]),
            ]),
            new Node(
                NodeType::Table,
                ['id' => 'B'],
                [new Node(NodeType::TableRow, [], [Node::cell(false, [Node::paragraph([Node::text('x', $scaffold)])])])],
            ),
            Node::paragraph([Node::text('Gone.', $scaffold)], 'C'),
            Node::paragraph([], 'D'),
        ]);
        $printing = $note->printing();
        self::assertSame(['A', 'B', 'D'], array_keys($printing->blocks));
        self::assertSame(" stays.\n\n", $printing->plainText());
        self::assertSame($printing, $printing->printing());
    }
}
