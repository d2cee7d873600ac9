<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Operation\Codec;
use Embrel\Operation\EditNote;
use Embrel\Plan\Plan;
use Embrel\RichText\LongestCommon;
use Embrel\RichText\Mark;
use Embrel\RichText\MarkType;
use Embrel\RichText\Merging;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;
use Embrel\RichText\WordByWord;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;

/** What two writers make of one block is joined: no word is lost, none comes twice. */
final class MergingTest extends TestCase
{
    #[DataProvider('texts')]
    public function testWordsOfBothStay(string $base, string $theirs, string $mine, string $joined): void
    {
        $id = Build::ulid(1);
        self::assertSame($joined, Merging::of(Node::plain($base, $id), Node::plain($theirs, $id), Node::plain($mine, $id))->plainText());
    }

    /** @return array<string, array{string, string, string, string}> */
    public static function texts(): array
    {
        return [
            'both write on' => ['The tide', 'The tide rises', 'The tide falls', 'The tide rises falls'],
            'in an empty paragraph' => ['', 'rising', 'falling', 'rising falling'],
            'in different places' => ['The tide comes', 'The high tide comes', 'The tide comes late', 'The high tide comes late'],
            'the same word, differently' => ['The tide', 'The tides', 'The tidal', 'The tides tidal'],
            'the same word, alike' => ['The tide', 'The tides', 'The tides', 'The tides'],
            'one goes on with a word that the other has seen begun' => ['hel', 'hel wor', 'hello', 'hello wor'],
            'both add the same word' => ['The tide', 'The tide rises', 'The tide rises', 'The tide rises rises'],
            'one takes out, one writes' => ['a b c', 'a c', 'a b x c', 'a x c'],
            'both take out' => ['a b c d', 'a c d', 'a b c', 'a c'],
            'one takes all out' => ['a b', '', 'a b c', ' c'],
            'line breaks' => ["a\nb", "a\nx b", "a y\nb", "a y\nx b"],
            'signs stand alone' => ['yes', 'yes, sir', 'yes!', 'yes, sir!'],
            'a script without spaces' => ['塩性湿地', '塩性の湿地', '塩性湿地図', '塩性の湿地図'],
            'nothing changed here' => ['a', 'a b', 'a', 'a b'],
        ];
    }

    public function testMarksAndWordsOfBothStay(): void
    {
        $node = static fn(Node ...$inlines): Node => Node::paragraph(array_values($inlines), Build::ulid(1));
        $joined = Merging::of(
            $node(Node::text('The tide')),
            $node(Node::text('The tide rises')),
            $node(Node::text('The '), Node::text('tide', [new Mark(MarkType::Bold)])),
        );
        self::assertEquals($node(Node::text('The '), Node::text('tide', [new Mark(MarkType::Bold)]), Node::text(' rises')), $joined);
    }

    public function testItemsOfAListAreJoinedOneByOneAndNewOnesKept(): void
    {
        $list = static fn(string ...$items): Node => new Node(
            NodeType::BulletList,
            ['id' => Build::ulid(1)],
            array_map(static fn(string $item): Node => new Node(NodeType::ListItem, content: [Node::plain($item)]), array_values($items)),
        );
        self::assertSame(
            "one\ntwo\nthree more",
            Merging::of($list('one', 'two'), $list('one more', 'two'), $list('one', 'two', 'three'))->plainText(),
        );
        self::assertSame("one x\ntwo y", Merging::of($list('one', 'two'), $list('one x', 'two'), $list('one', 'two y'))->plainText());
    }

    public function testAHeadingStaysOneWhileWordsComeIn(): void
    {
        $id = Build::ulid(1);
        $joined = Merging::of(
            Node::plain('Walls', $id),
            Node::plain('Old walls', $id),
            new Node(NodeType::Heading, ['id' => $id, 'level' => 2], [Node::text('Walls')]),
        );
        self::assertEquals(new Node(NodeType::Heading, ['id' => $id, 'level' => 2], [Node::text('Old walls')]), $joined);
    }

    public function testAParagraphThatWasTakenOutKeepsOnlyWhatIsNew(): void
    {
        [$plan, $topic, [$one, $two]] = $this->noted('one', 'two');
        $joinedParagraphs = new EditNote(
            $topic,
            [Node::plain('one two', $one)],
            [$two],
            null,
            [],
            [$one => Node::plain('one', $one), $two => Node::plain('two', $two)],
        );
        $wroteOn = new EditNote($topic, [Node::plain('two more', $two)], [], null, [], [$two => Node::plain('two', $two)]);
        self::assertSame("one two\nmore", $wroteOn->apply($joinedParagraphs->apply($plan))->topic($topic)->note?->plainText());
        self::assertSame("one two\nmore", $joinedParagraphs->apply($wroteOn->apply($plan))->topic($topic)->note?->plainText());
    }

    public function testWhoMeetsAnotherIsTold(): void
    {
        [$plan, $topic, [$one]] = $this->noted('one');
        $edit = new EditNote($topic, [Node::plain('one more', $one)], base: [$one => Node::plain('one', $one)]);
        self::assertFalse($edit->meets($plan));
        self::assertTrue($edit->meets((new EditNote($topic, [Node::plain('one less', $one)]))->apply($plan)));
        self::assertEquals($edit, Codec::decode($edit->toArray()));
    }

    /** Three writers with words of their own, each knowing the note as it was some edits ago. */
    public function testManyEditsAtRandomLoseNoWordAndDoubleNone(): void
    {
        for ($seed = 1; $seed <= 150; $seed++) {
            mt_srand($seed);
            [$plan, $topic, $ids] = $this->noted('alpha beta gamma', '', 'delta');
            $seen = array_fill(0, 3, $plan->topic($topic)->note->blocks ?? []);
            $written = [];
            for ($i = 0; $i < 40; $i++) {
                $writer = mt_rand(0, 2);
                $id = $ids[mt_rand(0, 2)];
                $base = $seen[$writer][$id];
                $words = preg_split('/\s+/', $base->plainText(), -1, PREG_SPLIT_NO_EMPTY) ?: [];
                $written[] = $word = "w{$writer}x{$i}";
                array_splice($words, mt_rand(0, \count($words)), 0, [$word]);
                $mine = Node::plain(implode(' ', $words), $id);
                $edit = new EditNote($topic, [$mine], base: [$id => $base]);
                $after = $edit->apply($plan);
                self::assertEquals($plan->topic($topic)->note, Build::back($plan, $after)->topic($topic)->note);
                $plan = $after;
                // What one has sent is what one's next edit builds on; now and then one looks what the others did.
                $seen[$writer][$id] = $mine;
                if (mt_rand(0, 2) === 0) {
                    $seen[$writer] = $plan->topic($topic)->note->blocks ?? [];
                }
            }
            $counts = array_count_values(
                preg_split('/\s+/', $plan->topic($topic)->note?->plainText() ?? '', -1, PREG_SPLIT_NO_EMPTY) ?: [],
            );
            self::assertSame(
                array_fill_keys([...$written, 'alpha', 'beta', 'gamma', 'delta'], 1),
                array_replace(array_fill_keys([...$written, 'alpha', 'beta', 'gamma', 'delta'], 0), $counts),
                "seed {$seed}",
            );
        }
    }

    /** @return array{Plan, string, list<string>} a plan with a noted topic, and the ids of its blocks */
    private function noted(string ...$paragraphs): array
    {
        $plan = Build::plan('A');
        $topic = Build::id($plan, 'A');
        $note = Note::of(
            array_map(
                static fn(string $text, int $i): Node => Node::plain($text, Build::ulid(50 + $i)),
                array_values($paragraphs),
                array_keys(array_values($paragraphs)),
            ),
        );

        return [$plan->with($plan->topic($topic)->withNote($note)), $topic, array_map(strval(...), array_keys($note->blocks))];
    }

    public function testAHalfWrittenWordIsNoOtherWritersHalfWrittenWord(): void
    {
        $merged = static fn(string $base, string $theirs, string $mine): string => Merging::of(
            Node::plain($base),
            Node::plain($theirs),
            Node::plain($mine),
        )->plainText();
        self::assertSame('A wall tide w', $merged('A w', 'A w tide w', 'A wall'));
        self::assertSame('A wall tide w', $merged('A w', 'A wall', 'A w tide w'));
        self::assertSame('A tide wall marsh w', $merged('A w', 'A tide w marsh w', 'A wall'));
        $both = $merged('A w', $merged('A w', $merged('A ', 'A w', 'A w'), 'A wall '), 'A wind ');
        self::assertEqualsCanonicalizing(['A', 'wall', 'wind'], preg_split('/\s+/', trim($both)));
    }

    public function testOfLongTextsTheShortestWayFindsAsMuchInCommonAsTheTable(): void
    {
        mt_srand(7);
        for ($round = 0; $round < 500; ++$round) {
            $one = array_map(static fn(): string => \chr(97 + mt_rand(0, 5)), array_fill(0, mt_rand(0, 40), 0));
            $other = $one;
            for ($edits = mt_rand(0, 9); $edits > 0; --$edits) {
                array_splice($other, mt_rand(0, \count($other)), mt_rand(0, 1), mt_rand(0, 1) === 0 ? [] : [\chr(97 + mt_rand(0, 5))]);
            }
            [$table, $way] = [LongestCommon::of($one, $other, 1_000_000), LongestCommon::of($one, $other, 0)];
            self::assertCount(\count($table), $way);
            $last = -1;
            foreach ($way as $i => $k) {
                self::assertSame($one[$i], $other[$k]);
                self::assertGreaterThan($last, $k);
                $last = $k;
            }
            $places = array_keys($way);
            sort($places);
            self::assertSame($places, array_keys($way));
        }
    }

    /** As after hours of writing by two in one paragraph, each at an end of it. */
    public function testTwoWhoWriteAtBothEndsOfAVeryLongParagraphAreJoined(): void
    {
        $words = array_map(static fn(int $i): string => "word{$i}", range(1, 3_000));
        $of = static fn(string $text): array => WordByWord::of([Node::text($text)]);
        $text = implode(' ', $words);
        $joined = WordByWord::inlines(WordByWord::merged($of($text), $of("mine1 {$text} mine2"), $of("yours1 {$text} yours2")));
        $counts = array_count_values(explode(' ', implode('', array_map(static fn(Node $node): string => $node->text, $joined))));
        self::assertSame([], array_filter($counts, static fn(int $count): bool => $count !== 1));
        self::assertCount(3_004, $counts);
    }
}
