<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Plan\Plan;
use Embrel\RichText\Mark;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;
use Embrel\Search\Hit;
use Embrel\Search\Lines;
use Embrel\Search\Query;
use Embrel\Search\Replacement;
use Embrel\Search\Search;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;

final class SearchTest extends TestCase
{
    private static function plan(): Plan
    {
        $plan = Build::plan("The marsh\n  Marshland birds\n  Élan and ÉLAN\nNobody’s wall\n  5 * 3 (about)");
        $item = static fn(string $text): Node => new Node(NodeType::ListItem, [], [Node::plain($text)]);
        $note = Note::of([
            Node::paragraph(
                [
                    Node::text('A mar'),
                    Node::text('sh of ', [new Mark(MarkType::Bold)]),
                    Node::text('salt'),
                    new Node(NodeType::HardBreak),
                    Node::text('marsh again'),
                ],
                Build::ulid(1),
            ),
            new Node(NodeType::BulletList, ['id' => Build::ulid(2)], [$item('no'), $item('one marsh, two marsh')]),
        ]);

        return $plan->with($plan->topic(Build::id($plan, 'Nobody’s wall'))->withNote($note));
    }

    /** @return iterable<string, array{Query, list<string>}> */
    public static function queries(): iterable
    {
        yield 'any case, parts of words' => [
            new Query('marsh'),
            ['The |marsh|', '|Marsh|land birds', 'A |marsh| of salt', 'salt |marsh| again', 'one |marsh|, two', 'two |marsh|'],
        ];
        yield 'whole words' => [
            new Query('marsh', true),
            ['The |marsh|', 'A |marsh| of salt', 'salt |marsh| again', 'one |marsh|, two', 'two |marsh|'],
        ];
        yield 'this case only' => [new Query('Marsh', false, true), ['|Marsh|land birds']];
        yield 'letters with accents' => [new Query('élan'), ['|Élan| and ÉLAN', 'Élan and |ÉLAN|']];
        yield 'straight for curly' => [new Query("nobody's"), ['|Nobody’s| wall']];
        yield 'signs are no pattern' => [new Query('* 3 ('), ['5 |* 3 (|about)']];
        yield 'across marks' => [new Query('MARSH OF SALT'), ['A |marsh of salt|']];
        yield 'nothing' => [new Query('  '), []];
    }

    /** @param list<string> $expected each hit in bars, with some of what stands about it */
    #[DataProvider('queries')]
    public function testHits(Query $query, array $expected): void
    {
        $hits = Search::in(self::plan(), $query);
        $shown = array_map(
            static fn(Hit $hit): string => strtr($hit->around()[0] . '|' . $hit->match() . '|' . $hit->around()[1], "\n", ' '),
            $hits,
        );
        self::assertCount(\count($expected), $hits, implode("\n", $shown));
        foreach ($expected as $i => $part) {
            self::assertStringContainsString($part, $shown[$i]);
        }
    }

    public function testWithinABranch(): void
    {
        $plan = self::plan();
        self::assertCount(2, Search::in($plan, new Query('marsh'), Build::id($plan, 'The marsh')));
    }

    public function testReplacing(): void
    {
        $plan = self::plan();
        $hits = Search::in($plan, new Query('marsh', true));
        $after = Replacement::of($plan, $hits, 'fen')->apply($plan);
        self::assertSame("The fen\n  Marshland birds\n  Élan and ÉLAN\nNobody’s wall\n  5 * 3 (about)", Build::outline($after));
        $note = $after->topic(Build::id($plan, 'Nobody’s wall'))->note ?? Note::empty();
        self::assertSame("A fen of salt\nfen again\nno\none fen, two fen", $note->plainText());
        self::assertSame('A fen', $note->blocks[Build::ulid(1)]->content[0]->text);
        self::assertSame(' of ', $note->blocks[Build::ulid(1)]->content[1]->text);
        self::assertTrue($note->blocks[Build::ulid(1)]->content[1]->has(MarkType::Bold), 'What was bold stays bold.');
        self::assertSame(
            $plan->topic(Build::id($plan, 'Nobody’s wall'))->note?->toJson(),
            Build::back($plan, $after)->topic(Build::id($plan, 'Nobody’s wall'))->note?->toJson(),
        );
    }

    /**
     * On random notes, set in random pieces: the words come out as a plain replacement of the plain lines, and the
     * rest keeps its marks.
     */
    public function testReplacingIsThatOfThePlainLines(): void
    {
        $letters = ['a', 'b', 'ab', 'ba', ' ', 'A', 'é'];
        for ($seed = 1; $seed <= 300; ++$seed) {
            mt_srand($seed);
            $pieces = [];
            for ($i = mt_rand(1, 12); $i > 0; --$i) {
                $marks = mt_rand(0, 1) === 0 ? [] : [new Mark([MarkType::Bold, MarkType::Italic, MarkType::Underline][mt_rand(0, 2)])];
                $pieces[]
                    = mt_rand(0, 9) === 0 ? new Node(NodeType::HardBreak) : Node::text(
                        $letters[mt_rand(0, 6)] . $letters[mt_rand(0, 6)],
                        $marks,
                    );
            }
            $block = Node::paragraph($pieces, Build::ulid(1));
            $plan = Plan::titled('T');
            $plan = $plan->with($plan->topic(Plan::ROOT)->withNote(Note::of([$block])));
            [$wanted, $with] = [['ab', 'a', 'ba a', 'é'][mt_rand(0, 3)], ['', 'x', 'xyz'][mt_rand(0, 2)]];
            $hits = Search::in($plan, new Query($wanted, false, true));
            $after = Replacement::of($plan, $hits, $with)->apply($plan)->topic(Plan::ROOT)->note ?? Note::empty();
            // What stands on two sides of a line break is found across it, as across any white space.
            $pattern = '/' . str_replace(' ', '\s', $wanted) . '/u';
            self::assertSame(
                preg_replace($pattern, $with, Lines::text($block)),
                Lines::text($after->blocks[Build::ulid(1)]),
                "Seed {$seed}: “{$wanted}” by “{$with}”.",
            );
            if ($hits === []) {
                self::assertSame([], Replacement::of($plan, $hits, $with)->operations);
            }
        }
    }

    public function testOnlyChosenHitsAndLongerWords(): void
    {
        $plan = self::plan();
        $hits = array_values(array_filter(Search::in($plan, new Query('marsh')), static fn(Hit $hit): bool => $hit->line === 1));
        $after = Replacement::of($plan, $hits, 'salt meadow $1 \\0')->apply($plan);
        self::assertStringEndsWith(
            'one salt meadow $1 \\0, two salt meadow $1 \\0',
            ($after->topic(Build::id($plan, 'Nobody’s wall'))->note ?? Note::empty())->plainText(),
        );
        self::assertSame(Build::outline($plan), Build::outline($after));
    }
}
