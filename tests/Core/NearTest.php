<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Citation\Person;
use Embrel\Citation\Source;
use Embrel\Language\Tongue;
use Embrel\Plan\Plan;
use Embrel\Prompt\Near\Alike;
use Embrel\Prompt\Near\Bm25;
use Embrel\Prompt\Near\Passages;
use Embrel\Prompt\Near\Sought;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;

/** What bears on a passage: by the words that it shares with others, whatever their form. */
final class NearTest extends TestCase
{
    /**
     * @param array<string, string> $texts name → text
     *
     * @return list<string> names, the nearest first
     */
    private static function near(string $title, string $text, array $texts, string $language = 'en'): array
    {
        $tongue = Tongue::of($language);
        $sought = Sought::of($tongue, $title, $text);
        $found = [];
        $words = 0;
        foreach (array_values($texts) as $i => $one) {
            $stems = $tongue->stems($one);
            $words += array_sum($stems);
            foreach ($sought->stems($tongue) as $stem => $word) {
                isset($stems[$stem]) ? $found[$word][] = [$i, $stems[$stem], array_sum($stems)] : null;
            }
        }
        $ranks = (new Bm25(\count($texts), $words / \count($texts)))->ranked($sought, $found);

        return array_map(static fn(int $i): string => array_keys($texts)[$i], array_keys($ranks));
    }

    public function testWhatSharesTheRarestWordsMostOftenIsNearest(): void
    {
        $texts = [
            'walls' => 'The wall was raised after the flood of 1953, and the wall leaks.',
            'birds' => 'Avocets nest on the mud behind the wall.',
            'fish' => 'Young bass spend their summers in creeks.',
            'floods' => 'Flooding reached the church twice; the floods of that winter broke a wall.',
        ];
        self::assertSame('floods', self::near('Floods', 'A church was flooded in winter.', $texts)[0]);
        self::assertSame(['walls', 'birds', 'floods'], self::near('The wall', 'It leaks.', $texts), 'Among equals the shorter is nearer.');
        self::assertSame([], self::near('Rent', 'Nobody pays it.', $texts));
    }

    /** As the formula says it, worked out once more in the plainest way. */
    public function testTheRanksAreThoseOfTheFormula(): void
    {
        mt_srand(20_261_201);
        $words = ['marsh', 'tide', 'wall', 'samphire', 'bass', 'mud', 'creek', 'survey', 'flood', 'farmer', 'sluice', 'post'];
        for ($round = 0; $round < 50; ++$round) {
            $texts = [];
            for ($i = 0; $i < 30; ++$i) {
                $texts["t{$i}"] = implode(
                    ' ',
                    array_map(static fn(): string => $words[mt_rand(0, 11) % mt_rand(1, 12)], range(0, mt_rand(2, 40))),
                );
            }
            $query = \array_slice($words, mt_rand(0, 6), 4);
            $expected = [];
            $lengths = array_map(static fn(string $text): int => substr_count($text, ' ') + 1, $texts);
            $mean = array_sum($lengths) / \count($lengths);
            foreach ($texts as $name => $text) {
                $rank = 0.0;
                foreach ($query as $word) {
                    $tf = \count(array_keys(explode(' ', $text), $word, true));
                    $df = \count(array_filter($texts, static fn(string $other): bool => \in_array($word, explode(' ', $other), true)));
                    $rank += log(1 + (30 - $df + 0.5) / ($df + 0.5)) * $tf * 2.2 / ($tf + 1.2 * (0.25 + 0.75 * $lengths[$name] / $mean));
                }
                $expected[$name] = $rank;
            }
            uksort($expected, static fn(string $a, string $b): int => $expected[$b] <=> $expected[$a] ?: strnatcmp($a, $b));
            $near = self::near(implode(' ', $query), '', $texts);
            self::assertSame(\array_slice(array_keys($expected), 0, \count($near)), $near);
        }
    }

    #[TestWith(['de', 'Überflutete Häuser', 'Die Flut stand im Haus.', 'Ein Hausboot liegt am Kai.'])]
    #[TestWith(['pl', 'Rzeka wylała', 'Wylała rzeka i łąki.', 'Zima była długa.'])]
    #[TestWith(['zh', '河流的历史', '这条河流有历史。', '他喜欢吃苹果。'])]
    #[TestWith(['ar', 'تاريخ الأنهار', 'كتب تاريخ الأنهار في مصر', 'يحب التفاح'])]
    public function testOtherLanguagesAreReadByTheirOwnWords(string $language, string $title, string $near, string $far): void
    {
        self::assertSame(['near'], self::near($title, '', ['far' => $far, 'near' => $near], $language));
    }

    public function testOneWordSharedByChanceIsNoTie(): void
    {
        $texts = ['chance' => 'He came in June.'];
        self::assertSame([], self::near('The marsh', 'It was surveyed in June by five people with posts.', $texts));
        self::assertSame(['chance'], self::near('June', 'It was surveyed by five people with posts.', $texts));
    }

    /** What only holds sentences together is not sought: a title of nothing else finds nothing, and breaks nothing. */
    #[TestWith([''])]
    #[TestWith(['The'])]
    #[TestWith(['What about it?'])]
    #[TestWith(['…'])]
    #[TestWith(["\u{1F30A}"])]
    public function testATitleThatSaysNothingFindsNothing(string $title): void
    {
        self::assertSame([], self::near($title, '', ['a' => 'The wall and what is about it.']));
    }

    public function testOfALongTextTheWordsAreSoughtThatSayMost(): void
    {
        $sought = Sought::of(Tongue::of('en'), 'Sluices', implode(' ', array_map(static fn(int $i): string => "word{$i}", range(1, 400))));
        $narrowed = $sought->narrowed(array_fill_keys(array_map(static fn(int $i): string => "word{$i}", range(1, 390)), 40), 100);
        self::assertCount(Sought::MOST, $narrowed->words);
        self::assertArrayHasKey('sluices', $narrowed->words);
        self::assertArrayHasKey('word395', $narrowed->words);
    }

    public function testANoteIsReadBlockByBlockWithoutWhatNeverPrints(): void
    {
        $note = Note::of([
            Node::plain('One.', 'A'),
            new Node(NodeType::Question, ['id' => 'B'], [Node::text('Why?')]),
            new Node(NodeType::CodeBlock, ['id' => 'C'], [Node::text('x = 1')]),
            Node::plain('', 'D'),
            new Node(NodeType::Blockquote, ['id' => 'E'], [Node::plain('Two.'), Node::plain('Three.')]),
        ]);
        self::assertSame(['A' => 'One.', 'E' => "Two.\nThree."], Passages::ofNote($note));
        self::assertSame(['A page.', 'And more.'], Passages::ofPage("A page.\r\n\r\n  And   more. \n\n"));
        $source = new Source('S', 'Old Tides', authors: [new Person('Pell', 'Ada')], remark: 'On sluices.');
        self::assertSame("Old Tides\nAda Pell\nOn sluices.", Passages::ofSource($source));
    }

    /** The words that tie are found in their place, in whatever form. */
    public function testTheWordsThatTieAreShownWhereTheyStand(): void
    {
        $tongue = Tongue::of('en');
        $stems = Sought::of($tongue, 'Flooding', '')->stems($tongue);
        self::assertSame([[4, 6], [20, 7]], $tongue->spots('Ağı floods, and the flooded — river', $stems));
    }

    /** @param list<array{string, string}> $pairs */
    #[TestWith(["Costs of the wall\nThe wall's costs\nBirds", [['Costs of the wall', "The wall's costs"]]])]
    #[TestWith(["A\n  Method\nB\n  Method", []])]
    #[TestWith(["Birds\nBirds\nFish", [['Birds', 'Birds']]])]
    #[TestWith(["The marsh\n  The marsh in winter", []])]
    #[TestWith(["Why the marsh matters\nWhy the wall matters", []])]
    #[TestWith(["\n\nThe\nIt", []])]
    public function testTitlesThatSayNearlyTheSameAreFound(string $outline, array $pairs): void
    {
        $plan = Build::plan($outline);
        $found = array_map(
            static fn(array $two): array => [$plan->topic($two[0])->title, $plan->topic($two[1])->title],
            Alike::titles($plan),
        );
        self::assertSame($pairs, $found);
    }

    public function testTopicsThatSpeakOfTheSameAreFound(): void
    {
        $tongue = Tongue::of('en');
        $tide = 'The survey counted samphire, purslane, aster, lavender and cord grass at every tenth post along five lines, in March and September.';
        $again = 'In September and March the posts along the lines were levelled, and samphire, aster, purslane and lavender were counted by the survey.';
        $other = 'Fishermen from Teal End land bass, mullet, eels and crabs, and sell them on the quay to two hotels and a smokehouse every Friday evening.';
        $near = Alike::texts(
            ['a' => $tongue->stems($tide), 'b' => $tongue->stems($other), 'c' => $tongue->stems($again), 'd' => ['one' => 1]],
        );
        self::assertCount(1, $near);
        self::assertSame(['a', 'c'], \array_slice($near[0], 0, 2));
        self::assertSame([], Alike::texts([]));
        self::assertSame([], Alike::titles(Plan::titled('Nothing')));
    }
}
