<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Draft\Choices;
use Embrel\Id\CountedIds;
use Embrel\Intake\OwnPattern;
use Embrel\Intake\Pattern;
use Embrel\Intake\WayBack\Acceptance;
use Embrel\Operation\FoldAs;
use Embrel\Operation\FoldTopics;
use Embrel\Plan\Dye;
use Embrel\Plan\Flag;
use Embrel\Plan\InvalidValue;
use Embrel\Plan\Kind;
use Embrel\Plan\Place;
use Embrel\Plan\Plan;
use Embrel\Plan\PlanForm;
use Embrel\Plan\Target;
use Embrel\Plan\WordTotals;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;
use Embrel\RichText\Schema;
use Embrel\Shape;
use Embrel\Writer\Format;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;

/** Patterns: those of ours, those of one's own, and the questions that their notes ask. */
final class PatternTest extends TestCase
{
    private static function question(string $text, int $id): Node
    {
        return new Node(NodeType::Question, ['id' => Build::ulid($id)], [Node::text($text)]);
    }

    private static function plan(): Plan
    {
        $plan = Build::plan("Wall\n  Clay\n  Stone\nTide");
        $note = Note::of([
            self::question('Who built it?', 301),
            Node::plain('The parishes did.', Build::ulid(302)),
            new Node(NodeType::Picture, ['id' => Build::ulid(303), 'picture' => str_repeat('a1', 32)]),
            new Node(NodeType::Paragraph, ['id' => Build::ulid(304)], [
                Node::text('As Pell has it '),
                new Node(NodeType::Citation, ['items' => [['source' => Build::ulid(90)]]]),
            ]),
        ]);
        $set = [
            'flag' => Flag::Key,
            'who' => 'Jo',
            'due' => '2026-12-04',
            'target' => Target::of(200),
            'labels' => ['field'],
            'dye' => Dye::of('woad'),
        ];
        $plan = $plan->with($plan->topic(Build::id($plan, 'Clay'))->withNote($note)->with($set + ['kind' => Kind::Point]));

        $labels = [['field', 'fern'], ['x', 'weld']];

        return $plan->withProperties($plan->properties->with(['target' => 900, 'due' => '2026-12-24', 'labels' => $labels]));
    }

    public function testAPatternHoldsWhatIsNotOfTheOnePiece(): void
    {
        $plan = self::plan();
        $pattern = OwnPattern::of($plan, Plan::ROOT, ' Field report ', true, true);
        self::assertSame("Wall\n  Clay\n  Stone\nTide", Build::outline($pattern));
        self::assertSame(['Field report', 900, null], [$pattern->title(), $pattern->properties->target?->words, $pattern->properties->due]);
        $clay = $pattern->topic(Build::id($pattern, 'Clay'));
        self::assertSame([Kind::Point, null, '', null, 200, ['field']], [
            $clay->kind, $clay->flag, $clay->who, $clay->due, $clay->target?->words, $clay->labels,
        ]);
        self::assertSame("Who built it?\nThe parishes did.\nAs Pell has it ", $clay->note?->plainText());
        self::assertSame(['field'], array_keys($pattern->properties->labels));
        self::assertSame('4 topics, 7 words, 1 question', OwnPattern::holds($pattern));
        self::assertEquals($pattern, PlanForm::plan(new Shape(json_decode((string) json_encode(PlanForm::toArray($pattern)), true), 'p')));
    }

    public function testWithoutNotesItsQuestionsStay(): void
    {
        $pattern = OwnPattern::of(self::plan(), Plan::ROOT, 'Bare', false, false);
        $clay = $pattern->topic(Build::id($pattern, 'Clay'));
        self::assertSame(['Who built it?', null, null], [$clay->note?->plainText(), $clay->target, $pattern->properties->target]);
    }

    public function testABranchIsOneOfItsParts(): void
    {
        $plan = self::plan();
        $pattern = OwnPattern::of($plan, Build::id($plan, 'Wall'), 'Walls', true, true);
        self::assertSame([['Clay', 1], ['Stone', 1]], OwnPattern::tree($pattern));
        $this->expectException(InvalidValue::class);
        $this->expectExceptionMessage('A pattern needs at least one topic, and nothing stands there yet.');
        OwnPattern::of($plan, Build::id($plan, 'Tide'), 'Nothing', true, true);
    }

    public function testOneIsSetBelowATopicAsOftenAsIsWanted(): void
    {
        $plan = self::plan();
        $pattern = OwnPattern::of($plan, Plan::ROOT, 'Report', true, true);
        $ids = new CountedIds('06');
        for ($time = 0; $time < 2; ++$time) {
            $plan = OwnPattern::added($pattern, Place::lastIn($plan, Build::id($plan, 'Tide')), $ids)->apply($plan);
        }
        self::assertSame("Wall\n  Clay\n  Stone\nTide\n  Wall\n    Clay\n    Stone\n  Tide\n  Wall\n    Clay\n    Stone\n  Tide", Build::outline($plan));
        $notes = array_filter($plan->topics, static fn($topic): bool => $topic->noted);
        self::assertCount(3, $notes);
        $first = array_map(static fn($topic): string => (string) array_key_first($topic->note->blocks ?? []), $notes);
        self::assertCount(3, array_unique($first));
    }

    public function testOfALargeOneALittleIsShown(): void
    {
        $line = static fn(int $i): string => $i % 3 === 0 ? "Main {$i}" : "  Part {$i}";
        $plan = Build::plan(implode("\n", array_map($line, range(0, 199))));
        $shown = OwnPattern::shown(OwnPattern::of($plan, Plan::ROOT, 'Large', true, true));
        self::assertSame([12, 60, 140, '200 topics'], [\count($shown['mains']), \count($shown['tree']), $shown['more'], $shown['holds']]);
        self::assertSame(['Main 0', 'Main 3'], \array_slice($shown['mains'], 0, 2));
        self::assertSame([['Main 0', 1], ['Part 1', 2]], \array_slice($shown['tree'], 0, 2));
    }

    public function testAPlanThatIsStartedFromOneHasItsOwnTitleAndAuthor(): void
    {
        $plan = OwnPattern::plan(OwnPattern::of(self::plan(), Plan::ROOT, 'Report', false, false), 'The creek', 'Ada');
        self::assertSame(['The creek', 'Ada'], [$plan->title(), $plan->properties->author]);
    }

    public function testANameIsOneLineThatIsNotEmpty(): void
    {
        foreach (['', '  ', str_repeat('x', 121)] as $no) {
            try {
                OwnPattern::name($no);
                self::fail($no);
            } catch (InvalidValue $why) {
                self::assertStringEndsWith('.', $why->getMessage());
            }
        }
    }

    // ---- Questions

    public function testAllOfOursAskSomethingThatNeverCounts(): void
    {
        foreach (Pattern::cases() as $pattern) {
            $plan = $pattern->plan('T', 'A', new CountedIds());
            self::assertMatchesRegularExpression('/\A\d+ topics, [3-9] questions\z/', OwnPattern::holds($plan));
            $totals = WordTotals::of($plan);
            self::assertSame([0, 0.0], [$totals->words(Plan::ROOT), $totals->filled($plan->parts(Plan::ROOT)[0])]);
        }
    }

    /** What is written in a file of a format; of a package, in all its parts. */
    private static function written(Format $format, Plan $plan): string
    {
        $path = (string) tempnam(sys_get_temp_dir(), 'embrel-pattern');
        $out = fopen($path, 'w+') ?: throw new \RuntimeException($path);
        $format->writer()->write($plan, new Choices(), $out, sys_get_temp_dir());
        fclose($out);
        $text = (string) file_get_contents($path);
        $zip = new \ZipArchive();
        if (str_starts_with($text, 'PK') && $zip->open($path) === true) {
            for ($i = 0, $text = ''; $i < $zip->numFiles; ++$i) {
                $text .= $zip->getFromIndex($i);
            }
        }
        unlink($path);

        return $text;
    }

    /** @return iterable<string, array{Format}> */
    public static function formats(): iterable
    {
        $texts = [Format::Markdown, Format::Text, Format::Csv, Format::Latex];
        foreach ([Format::Docx, Format::Odt, Format::Html, Format::Epub, ...$texts] as $format) {
            yield $format->value => [$format];
        }
    }

    #[DataProvider('formats')]
    public function testAQuestionIsInNoDraft(Format $format): void
    {
        $plan = self::plan();
        $written = self::written($format, $plan);
        self::assertStringNotContainsString('Who built', $written);
        self::assertStringContainsString('parishes', $written);
    }

    public function testAnOutlineFileThatComesHomeKeepsIt(): void
    {
        self::assertStringContainsString('Who built it?', self::written(Format::Opml, self::plan()));
    }

    public function testWithinAListItIsALineOfIt(): void
    {
        $plan = self::plan();
        $fold = new FoldTopics([Build::id($plan, 'Clay')], Build::id($plan, 'Wall'), FoldAs::BulletList, Build::ulid(400), []);
        $folded = $fold->apply($plan);
        foreach ($folded->topic(Build::id($plan, 'Wall'))->note->blocks ?? [] as $block) {
            self::assertSame($block->toArray(), Schema::block($block->toArray())->toArray());
        }
    }

    public function testADraftThatComesBackTakesNoQuestionAway(): void
    {
        $old = Note::of([
            self::question('First?', 310),
            Node::plain('One.', Build::ulid(311)),
            Node::plain('Two.', Build::ulid(312)),
            self::question('Second?', 313),
            Node::plain('Three.', Build::ulid(314)),
        ]);
        $ids = static fn(int ...$numbers): array => array_map(Build::ulid(...), $numbers);
        self::assertSame($ids(310, 311, 312, 313, 314), Acceptance::withUnprinted($old, $ids(311, 312, 314)));
        self::assertSame($ids(310, 311, 313, 399, 314), Acceptance::withUnprinted($old, $ids(311, 399, 314)));
        self::assertSame($ids(310, 313), Acceptance::withUnprinted($old, []));
    }
}
