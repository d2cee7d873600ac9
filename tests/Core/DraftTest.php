<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Document\Counted;
use Embrel\Document\Document;
use Embrel\Document\Element;
use Embrel\Document\Style;
use Embrel\Draft\Choices;
use Embrel\Draft\Draft;
use Embrel\Draft\DraftChoices;
use Embrel\Draft\Printing;
use Embrel\MalformedShape;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;
use Embrel\Plan\Relation;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;

/** What a writer chooses at hand-over, and what then is in the draft. */
final class DraftTest extends TestCase
{
    private static function plan(): Plan
    {
        $plan = Build::plan("Tide\n  a point\n    below it\n  Pell says\n  mine alone\n    under it\nWall\n  Empty\nEmpty too");
        foreach (['a point' => Kind::Point, 'Pell says' => Kind::Quote, 'mine alone' => Kind::Aside] as $title => $kind) {
            $plan = $plan->with($plan->topic(Build::id($plan, $title))->with(['kind' => $kind]));
        }
        $ids = array_map(Build::ulid(...), range(1, 9));
        $blocks = [
            Node::paragraph([Node::text('four words of text'), new Node(NodeType::Footnote, [], [Node::text('two more')])], $ids[1]),
            (new Node(NodeType::Blockquote, [], [Node::plain('three quoted words')]))->withId($ids[2]),
            (new Node(NodeType::Picture, ['picture' => str_repeat('a', 64), 'caption' => 'The wall']))->withId($ids[3]),
            (new Node(NodeType::Picture, ['picture' => str_repeat('b', 64)]))->withId($ids[4]),
        ];
        $plan = $plan
            ->with($plan->topic(Build::id($plan, 'Tide'))->withNote(Note::of($blocks)))
            ->with($plan->topic(Build::id($plan, 'Wall'))->withNote(Build::note('wall')));

        return $plan->withRelations([$ids[8] => Relation::of($ids[8], Build::id($plan, 'Tide'), Build::id($plan, 'Wall'), 'holds back')]);
    }

    /** @return list<string> role, level and title, or what a block says */
    private static function lines(Document $document): array
    {
        return array_map(
            static fn(Element $element): string => "{$element->role->value}{$element->level} "
                . ($element->block?->plainText() ?? $element->title),
            $document->elements,
        );
    }

    /**
     * @return iterable<string, array{Choices, list<string>, list<string>, array<string, int>}> what is in it, what is not, what is said to be left out
     */
    public static function choices(): iterable
    {
        yield 'as usual' => [
            new Choices(),
            ['item1 a point', 'item2 below it', 'quote0 Pell says', 'heading2 Empty', 'body0 The wall'],
            ['mine alone', 'under it', 'See also'],
            ['aside' => 1],
        ];
        yield 'points as text' => [new Choices(
            draft: new DraftChoices(prints: ['point' => Printing::Text]),
        ), ['body0 a point'], ['item1 a point'], ['aside' => 1]];
        yield 'points left out' => [
            new Choices(draft: new DraftChoices(prints: ['point' => Printing::Out])),
            ['quote0 Pell says'],
            ['a point', 'below it'],
            ['point' => 1, 'aside' => 1],
        ];
        yield 'quotes left out' => [new Choices(
            draft: new DraftChoices(prints: ['quote' => Printing::Out]),
        ), [], ['Pell says'], ['quote' => 1, 'aside' => 1]];
        yield 'asides as text' => [new Choices(
            draft: new DraftChoices(prints: ['aside' => Printing::Text]),
        ), ['body0 mine alone', 'heading3 under it'], [], []];
        yield 'without empty sections' => [new Choices(
            draft: new DraftChoices(emptySections: false),
        ), ['heading1 Wall'], ['Empty'], ['empty' => 2, 'aside' => 1]];
        yield 'without notes' => [new Choices(notes: false), ['heading1 Tide'], ['four words'], ['notes' => 2, 'aside' => 1]];
        yield 'without pictures' => [
            new Choices(draft: new DraftChoices(showsPictures: false)),
            ['body0 four words of text'],
            ['The wall'],
            ['pictures' => 2, 'aside' => 1],
        ];
        yield 'relations' => [
            new Choices(draft: new DraftChoices(seeAlso: true)),
            ['see-also0 See also: 2 Wall (holds back).', 'see-also0 See also: 1 Tide (holds back).'],
            [],
            ['aside' => 1],
        ];
        yield 'figures' => [new Choices(draft: new DraftChoices(figures: true)), ['body0 Figure 1. The wall'], [], ['aside' => 1]];
        yield 'lists set in one level' => [new Choices(
            draft: new DraftChoices(indentDepth: 1),
        ), ['item1 below it'], ['item2'], ['aside' => 1]];
        yield 'headings of one level' => [new Choices(
            draft: new DraftChoices(headingDepth: 1),
        ), ['item1 Empty'], ['heading2'], ['aside' => 1]];
    }

    /**
     * @param list<string>       $in
     * @param list<string>       $out
     * @param array<string, int> $leftOut
     */
    #[DataProvider('choices')]
    public function testChoices(Choices $choices, array $in, array $out, array $leftOut): void
    {
        $document = Draft::of(self::plan(), $choices);
        $lines = self::lines($document);
        foreach ($in as $line) {
            self::assertContains($line, $lines, implode("\n", $lines));
        }
        foreach ($out as $words) {
            self::assertStringNotContainsString($words, implode("\n", $lines));
        }
        self::assertEquals($leftOut, $document->leftOut);
        self::assertSame($choices->draft->figures ? 1 : 0, \count($document->figures));
    }

    public function testWhatCountsAsWordsIsChosen(): void
    {
        $words = static fn(Counted $counted): int => Draft::of(self::plan(), new Choices(
            draft: new DraftChoices(counted: $counted),
        ))->words();
        // Four of text, three quoted, the title of the quote, the caption of a picture, the note on the wall.
        self::assertSame(4 + 3 + 2 + 2 + 1, $words(new Counted()));
        self::assertSame(4 + 2 + 1, $words(new Counted(quotations: false)));
        self::assertSame(4 + 3 + 2 + 2 + 1 + 2, $words(new Counted(footnotes: true)));
        self::assertSame(4 + 3 + 2 + 2 + 1 + 1 + 2 + 2 + 1 + 1 + 2, $words(new Counted(titles: true)));
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function misfits(): iterable
    {
        yield 'an unknown setting' => [['colour' => 'red']];
        yield 'a font that is no name' => [['font' => '"><script>']];
        yield 'a size that is too large' => [['size' => 400]];
        yield 'three margins' => [['margins' => [10, 10, 10]]];
        yield 'an unknown paper' => [['paper' => 'a9']];
        yield 'a field that is none' => [['title_fields' => ['password']]];
        yield 'two thirds' => [['header' => ['a', 'b']]];
        yield 'a list for a word' => [['name' => ['x']]];
    }

    /** @param array<string, mixed> $given */
    #[DataProvider('misfits')]
    public function testAStyleTakesOnlyWhatFits(array $given): void
    {
        $this->expectException(MalformedShape::class);
        Style::of($given);
    }

    public function testAStyleComesBackFromWhatIsKeptOfIt(): void
    {
        foreach (array_keys(Style::OWN) as $name) {
            self::assertEquals(Style::own($name), Style::of(json_decode((string) json_encode(Style::own($name)->toArray()), true)));
        }
    }
}
