<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Comment\Anchor;
use Embrel\Comment\Drift;
use Embrel\Comment\Suggestion;
use Embrel\Comment\Tally;
use Embrel\Comment\TooManySigns;
use Embrel\MalformedShape;
use Embrel\Operation\OperationRefused;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;
use Embrel\Shape;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;

/** What is said beside the text: where its words have come to, what is proposed, and how votes are counted. */
final class CommentTest extends TestCase
{
    /** @return iterable<string, array{string, string, string|null}> a text with [the words], the text later, and the words then; null: gone */
    public static function drifts(): iterable
    {
        $was = 'Seven parishes paid for the wall, and [the minute book] records the bargain.';
        yield 'as it was' => [$was, 'Seven parishes paid for the wall, and the minute book records the bargain.', 'the minute book'];
        yield 'words before it' => [$was, 'In 1887 seven parishes paid, and the minute book records the bargain.', 'the minute book'];
        yield 'words right before it' => [$was, 'Seven parishes paid for the wall, and only the minute book records the bargain.', 'the minute book'];
        yield 'words right behind it' => [$was, 'Seven parishes paid for the wall, and the minute book alone records the bargain.', 'the minute book'];
        yield 'a word within it' => [$was, 'Seven parishes paid for the wall, and the old minute book records the bargain.', 'the old minute book'];
        yield 'a word of it is another' => [$was, 'Seven parishes paid for the wall, and the parish book records the bargain.', 'the parish book'];
        yield 'all of it is another' => [$was, 'Seven parishes paid for the wall, and one ledger records the bargain.', 'one ledger'];
        yield 'taken out' => [$was, 'Seven parishes paid for the wall, and records the bargain.', null];
        yield 'the line is turned about' => [$was, 'That is what the minute book tells: seven parishes paid for the wall.', 'the minute book'];
        yield 'another line' => [$was, 'The samphire went in one season, the oysters in five.', null];
        yield 'nothing' => [$was, '', null];
        yield 'all of a line' => ['[The samphire went.]', 'The samphire went in one season.', 'The samphire went in one season.'];
        yield 'all of a line, which is another' => ['[The samphire went.]', 'Oysters in five', null];
        yield 'the second of two alike' => ['the tide and [the tide] again', 'the tide, and then the tide again', 'the tide'];
        yield 'part of a word' => ['a salt[marsh]y place', 'a very saltmarshy place', 'marsh'];
        yield 'without spaces' => ['潮が[満ちる]まえに', '朝の潮が満ちるまえに', '満ちる'];
        yield 'beyond the first plane' => ['a 🌊 [wave] here', 'a 🌊🌊 tall wave here', 'wave'];
    }

    #[DataProvider('drifts')]
    public function testWordsAreFoundWhereTheyHaveCome(string $was, string $is, ?string $words): void
    {
        [$from, $length] = [(int) mb_strpos($was, '['), (int) mb_strpos($was, ']') - (int) mb_strpos($was, '[') - 1];
        $found = Drift::of(str_replace(['[', ']'], '', $was), $is, $from, $length);
        self::assertSame($words, $found === null ? null : mb_substr($is, ...$found));
    }

    public function testWhereverOtherWordsComeAndGoTheMarkedOnesAreFound(): void
    {
        mt_srand(11);
        $letters = ['wall', 'tide', 'mud', 'creek', 'salt', 'bank', 'reed'];
        for ($round = 0; $round < 300; ++$round) {
            $words = array_map(static fn(): string => $letters[mt_rand(0, 6)], range(1, mt_rand(3, 30)));
            array_splice($words, mt_rand(0, \count($words)), 0, ['the samphire']);
            $text = implode(' ', $words);
            [$was, $at] = [$text, (int) mb_strpos($text, 'the samphire')];
            for ($edit = 0; $edit < 12; ++$edit) {
                $i = mt_rand(0, \count($words) - 1);
                if ($words[$i] !== 'the samphire') {
                    array_splice($words, $i, 1, mt_rand(0, 1) === 1 ? [] : [$letters[mt_rand(0, 6)], $letters[mt_rand(0, 6)]]);
                } else {
                    array_splice($words, $i, 0, [$letters[mt_rand(0, 6)]]);
                }
                $is = implode(' ', $words);
                $found = Drift::of($was, $is, $at, 12) ?? [0, 0];
                self::assertSame('the samphire', mb_substr($is, ...$found), "{$was} → {$is}");
                [$was, $at] = [$is, $found[0]];
            }
        }
    }

    private static function note(string ...$lines): Note
    {
        return Note::of(array_map(
            static fn(string $line, int $i): Node => Node::plain($line, str_pad((string) $i, 26, '0', STR_PAD_LEFT)),
            $lines,
            array_keys($lines),
        ));
    }

    public function testAnAnchorHoldsToItsWordsInAnyBlockAndFindsThemAgainWhenTheyComeBack(): void
    {
        $note = self::note('One wall.', 'The minute book tells.');
        $id = (string) array_key_last($note->blocks);
        $anchor = Anchor::at($note, $id, 0, 4, 11) ?? self::fail('There are such words.');
        self::assertSame('minute book', $anchor->words());
        self::assertEquals($anchor, Anchor::read(new Shape($anchor->toArray(), 'anchor')));
        // Into another block, whole.
        $joined = self::note('One wall. The minute book tells.');
        self::assertSame(14, $anchor->in($joined)?->from);
        self::assertSame((string) array_key_first($joined->blocks), $anchor->in($joined)->block);
        // Gone, and back.
        $without = self::note('One wall.', 'Nothing tells.');
        $gone = $anchor->in(self::note('One wall.', 'Quite another thing.'));
        self::assertNull($gone);
        self::assertTrue($anchor->gone()->isGone);
        self::assertSame('minute book', $anchor->gone()->words());
        self::assertSame('minute book', $anchor->gone()->in($note)?->words());
        self::assertFalse($anchor->gone()->in($note)->isGone);
        self::assertNull($anchor->in(null));
        self::assertNotNull($without->blocks);
        // Where the same words stand twice elsewhere, nobody can tell which.
        self::assertNull($anchor->in(self::note('A minute book and a minute book.')));
    }

    public function testAnAnchorIsWithinItsLineAndHoldsWords(): void
    {
        $note = self::note('One wall.');
        $id = (string) array_key_first($note->blocks);
        $bad = [[$id, 0, 0, 10], [$id, 1, 0, 1], ['x', 0, 0, 1], [$id, 0, -1, 2], [$id, 0, 0, 0], [$id, 0, 3, 1]];
        foreach ($bad as [$block, $line, $from, $length]) {
            self::assertNull(Anchor::at($note, $block, $line, $from, $length), "{$block} {$line} {$from} {$length}");
        }
        // In a list each item is a line of its own.
        $item = static fn(string $text): Node => new Node(NodeType::ListItem, content: [Node::plain($text)]);
        $list = Note::of([new Node(NodeType::BulletList, ['id' => $id], [$item('reed'), $item('samphire')])]);
        self::assertSame('phire', Anchor::at($list, $id, 1, 3, 5)?->words());
    }

    public function testWordsAreFoundAsTheyAreRead(): void
    {
        $note = self::note('The tide, and  the tide.', 'A (sign). The tide');
        $places = [['the tide', 0, 15], ['and the tide', 0, 10], ['tide', 2, 14], ['(sign).', 0, 2], [' The tide ', 1, 10]];
        foreach ($places as [$words, $nth, $from]) {
            $found = Anchor::find($note, $words, $nth);
            self::assertSame($from, $found?->from, $words);
        }
        self::assertSame(2, Anchor::find($note, 'tide', 2)?->nth);
        self::assertNull(Anchor::find($note, 'tide', 3));
        self::assertNull(Anchor::find($note, 'tide. A', 0));
        self::assertNull(Anchor::find($note, '  ', 0));
    }

    public function testASuggestionIsAnOrdinaryChangeWhenItIsTaken(): void
    {
        $plan = Build::plan("Wall\n  Clay\nTide");
        [$wall, $clay, $tide] = array_map(static fn(string $title): string => Build::id($plan, $title), ['Wall', 'Clay', 'Tide']);
        $plan = $plan->with($plan->topic($clay)->withNote(self::note('The minute book tells.')));
        $read = static fn(array $form): Suggestion => Suggestion::read(new Shape($form, 'suggestion'));
        $title = $read(['kind' => 'title', 'text' => 'The wall']);
        self::assertSame(['kind' => 'title', 'text' => 'The wall'], $title->toArray());
        self::assertSame('The wall', $title->operation($plan, $wall, null)->apply($plan)->topic($wall)->title);
        $move = $read(['kind' => 'move', 'at' => ['parent' => $tide, 'after' => null]]);
        self::assertEquals($move, $read($move->toArray()));
        self::assertSame($tide, $move->operation($plan, $clay, null)->apply($plan)->parent($clay));
        $note = $plan->topic($clay)->note ?? self::fail('It has a note.');
        $words = Anchor::at($note, (string) array_key_first($note->blocks), 0, 4, 11);
        $other = $read(['kind' => 'words', 'text' => 'fair accounts']);
        self::assertTrue($other->isAboutWords());
        $after = $other->operation($plan, $clay, $words)->apply($plan);
        self::assertSame('The fair accounts tells.', $after->topic($clay)->note?->plainText());
        foreach ([
            static fn() => $other->operation($after, $clay, $words),
            static fn() => $other->operation($plan, $clay, null),
            static fn() => $title->operation($plan, '01ARZ3NDEKTSV4RRFFQ69G5FAV', null),
        ] as $i => $take) {
            try {
                $take();
                self::fail("Suggestion {$i} should be refused.");
            } catch (OperationRefused $why) {
                self::assertNotSame('', $why->getMessage());
            }
        }
        $this->expectException(MalformedShape::class);
        $read(['kind' => 'colour']);
    }

    public function testSignsAreCountedAndNobodyHasMoreThanOthers(): void
    {
        $tally = new Tally(['a', 'b', 'c', 'd'], 3);
        self::assertSame(['b' => 2, 'a' => 1], $tally->ballot(['b' => 2, 'a' => 1, 'x' => 9, 'c' => 0, 'd' => -4]));
        self::assertSame(['c' => 4, 'b' => 2, 'a' => 0, 'd' => 0], $tally->counted([['b' => 2, 'c' => 1], ['c' => 3, 'x' => 5]]));
        self::assertSame(['a' => 0, 'b' => 0, 'c' => 0, 'd' => 0], $tally->counted([]));
        $this->expectException(TooManySigns::class);
        $tally->ballot(['a' => 2, 'b' => 2]);
    }
}
