<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Language\Sentences;
use Embrel\Language\Tongue;
use Embrel\Prompt\Shorter\MainSentences;
use Embrel\Prompt\Shorter\Saying;
use Embrel\Prompt\Shorter\Sayings;
use Embrel\Prompt\Terms\KeyPhrases;
use Embrel\Prompt\Terms\Term;
use Embrel\Prompt\Terms\Untaken;
use Embrel\RichText\Mark;
use Embrel\RichText\MarkType;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;
use Embrel\Words;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What a text is about, what it leaves out of its title, and what of it says most. */
final class TermsTest extends TestCase
{
    private const MARSH = [
        'a' => 'The sea wall was raised in 1887. A sea wall needs mending, and the sea walls of the parish are old.',
        'b' => 'Cord grass slows the waves; cord grass also catches mud. Mud rises.',
        'c' => 'Nobody counted the mud. The wall is mended every year.',
    ];

    /**
     * @param array<string, string> $texts
     *
     * @return array<string, array{int, string}> words → how often, and where first
     */
    private static function terms(string $language, array $texts): array
    {
        $terms = [];
        foreach (KeyPhrases::of(Tongue::of($language), $texts) as $term) {
            $terms[$term->words] = [$term->times, $term->first];
        }

        return $terms;
    }

    public function testKeyPhrasesAreCountedInAllTheirFormsAndSaidWhereTheyStandFirst(): void
    {
        $terms = self::terms('en', self::MARSH);
        self::assertSame([3, 'a'], $terms['sea wall']);
        self::assertSame([2, 'b'], $terms['cord grass']);
        self::assertSame([3, 'b'], $terms['mud']);
        self::assertSame('sea wall', array_key_first($terms), 'What stands most often, and in two words, is first.');
        self::assertArrayNotHasKey('sea', $terms, 'What stands only within a longer phrase is no term of its own.');
        self::assertArrayNotHasKey('cord', $terms);
        self::assertArrayNotHasKey('year', $terms);
    }

    public function testInGermanATermEndsInANoun(): void
    {
        $terms = self::terms('de', ['a' => 'Die alte Mauer hält. Alte Mauern halten lange, und die Mauer hält lange.']);
        self::assertSame([2, 'a'], $terms['alte Mauer']);
        self::assertArrayNotHasKey('lange', $terms);
        self::assertArrayNotHasKey('hält lange', $terms);
    }

    #[TestWith(['en', ''])]
    #[TestWith(['en', 'Word'])]
    #[TestWith(['en', 'The of and. 1953 1953 1953. … …'])]
    #[TestWith(['en', "\xFF\xFE"])]
    #[TestWith(['xx', "\u{1F30A} \u{1F30A}"])]
    public function testATextThatSaysNothingHasNoTerms(string $language, string $text): void
    {
        self::assertSame([], KeyPhrases::of(Tongue::of($language), ['a' => $text]));
    }

    public function testATextInALanguageWithoutStemsHasTermsToo(): void
    {
        self::assertSame([2, 'a'], self::terms('pl', ['a' => 'Słony brzeg. Słony brzeg rzeki.'])['Słony brzeg']);
        self::assertSame(
            ['河流'],
            array_map(static fn(Term $one): string => $one->words, KeyPhrases::of(Tongue::of('zh'), ['a' => '河流。河流。'])),
        );
    }

    public function testWhatTheTitlePromisesAndASectionLeavesOutIsSaid(): void
    {
        $long = 'Water took the fields, the lanes and the church twice in one winter, and people left in boats that their neighbours had kept.';
        $sections = ['a' => "{$long} Floods came back.", 'b' => "{$long} The town paid for it.", 'c' => 'Short.'];
        self::assertSame(
            ['a' => ['Town', 'pay'], 'b' => ['flooded', 'pay']],
            Untaken::of(Tongue::of('en'), 'Should a flooded Town pay?', $sections),
        );
        self::assertSame([], Untaken::of(Tongue::of('en'), 'What about it?', $sections));
    }

    public function testSentencesEndWhereTheyEnd(): void
    {
        self::assertSame(
            [
                'Dr. Pell (p. 61) wrote it in 1994.',
                '“No!” she said.',
                'It cost 3.5 million, e.g. for Mr. Smith.',
                'The end?',
                'Yes.',
                'A title',
                'More',
            ],
            Sentences::of(
                "Dr. Pell (p. 61) wrote it in 1994. “No!” she said. It cost 3.5 million, e.g. for Mr. Smith. The end? Yes.\nA title\nMore",
                'en',
            ),
        );
        self::assertSame(
            ['Das gilt z. B. für Dr. Müller.', 'Am 3. Mai kam er.', 'Ende.'],
            Sentences::of('Das gilt z. B. für Dr. Müller. Am 3. Mai kam er. Ende.', 'de'),
        );
        self::assertSame(['河流。', '历史！', '好'], Sentences::of('河流。历史！好', 'zh'));
        self::assertSame([], Sentences::of(" \n ", 'en'));
    }

    /** @return list<Saying> */
    private static function sayings(string ...$sentences): array
    {
        return array_map(static fn(string $text): Saying => new Saying('t', 'b', $text), array_values($sentences));
    }

    public function testTheMainSentencesSayWhatTheTextSaysMostAndEachOnce(): void
    {
        $sayings = self::sayings(
            'The wall leaks and the wall costs money every year.',
            'A heron stood on the roof of the old school that day.',
            'Every year the wall costs more money than the parish has.',
            'Why should anybody pay?',
            'Yes.',
        );
        $chosen = MainSentences::of(Tongue::of('en'), $sayings, 12);
        self::assertSame([$sayings[0]], $chosen);
        self::assertSame([], MainSentences::of(Tongue::of('en'), $sayings, 3));
        self::assertSame([], MainSentences::of(Tongue::of('en'), [], 100));
        self::assertSame(\array_slice($sayings, 0, 3), MainSentences::of(Tongue::of('en'), $sayings, 100));
    }

    /** As many words as are wanted at the most, whole sentences of the text, in its order. */
    public function testItIsNeverLongerThanWanted(): void
    {
        mt_srand(7);
        for ($round = 0; $round < 40; ++$round) {
            $sayings = [];
            for ($i = 0; $i < 40; ++$i) {
                $sayings[] = new Saying(
                    't',
                    "b{$i}",
                    implode(' ', array_map(static fn(): string => 'word' . mt_rand(1, 60), range(1, mt_rand(3, 20)))) . '.',
                );
            }
            $wanted = mt_rand(0, 200);
            $chosen = MainSentences::of(Tongue::of('en'), $sayings, $wanted);
            self::assertLessThanOrEqual($wanted, array_sum(array_map(static fn(Saying $one): int => Words::in($one->text), $chosen)));
            $at = array_map(static fn(Saying $one): int => (int) array_search($one, $sayings, true), $chosen);
            $sorted = $at;
            sort($sorted);
            self::assertSame($sorted, $at);
            self::assertSame($at, array_unique($at));
        }
    }

    public function testOnlyTheWritersOwnSentencesAreShortened(): void
    {
        $note = Note::of([
            Node::paragraph([Node::text('One. Two.'), Node::text(' Scaffold.', [new Mark(MarkType::Scaffold)])], 'A'),
            new Node(NodeType::Heading, ['id' => 'B', 'level' => 2], [Node::text('Heading.')]),
            new Node(NodeType::Blockquote, ['id' => 'C'], [Node::plain('Quoted.')]),
            new Node(NodeType::Question, ['id' => 'D'], [Node::text('Asked?')]),
            new Node(NodeType::BulletList, ['id' => 'E'], [new Node(NodeType::ListItem, [], [Node::plain('Three.')])]),
        ]);
        self::assertSame(
            ['One.', 'Two.', 'Three.'],
            array_map(static fn(Saying $one): string => $one->text, Sayings::of('t', $note, 'en')),
        );
    }
}
