<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Citation\Person;
use Embrel\Citation\Source;
use Embrel\Citation\SourceKind;
use Embrel\Draft\Choices;
use Embrel\Draft\Draft;
use Embrel\Draft\ShowChoices;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;
use Embrel\RichText\Note;
use Embrel\RichText\Schema;
use Embrel\Show\Line;
use Embrel\Show\Show;
use Embrel\Show\Step;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;
use Tests\Core\Build\Trees;

/** A plan before an audience: what comes, in which order, and how much of it at once. */
final class ShowTest extends TestCase
{
    private const OUTLINE = "The marsh\n  Grazing\n  The wall of 1887\n    Who paid\nThe breach\n  Clay\nWhat remains";

    /** @return list<string> a line for each step: number, title, and what appears under it */
    private static function told(Plan $plan, ShowChoices $show): array
    {
        return array_map(
            static fn(Step $step): string => trim("{$step->number} {$step->title}")
                . ($step->lines === [] ? '' : ': ' . implode(' / ', array_map(self::line(...), $step->lines))),
            Show::of($plan, new Choices(show: $show))->steps,
        );
    }

    private static function line(Line $line): string
    {
        return str_repeat('>', $line->level - 1) . trim("{$line->number} {$line->text}");
    }

    /** @return iterable<string, array{ShowChoices, list<string>}> */
    public static function choices(): iterable
    {
        yield 'main sections, their parts as lines' => [new ShowChoices(levels: 1), [
            'Plan',
            '1 The marsh: 1.1 Grazing / 1.2 The wall of 1887',
            '2 The breach: 2.1 Clay',
            '3 What remains',
        ]];
        yield 'two levels: parts are steps of their own too' => [new ShowChoices(), [
            'Plan',
            '1 The marsh: 1.1 Grazing / 1.2 The wall of 1887',
            '1.1 Grazing',
            '1.2 The wall of 1887: 1.2.1 Who paid',
            '2 The breach: 2.1 Clay',
            '2.1 Clay',
            '3 What remains',
        ]];
    }

    /** @param list<string> $told */
    #[DataProvider('choices')]
    public function testSectionsComeInReadingOrder(ShowChoices $show, array $told): void
    {
        self::assertSame($told, self::told(self::plan(self::OUTLINE), $show));
    }

    private static function plan(string $outline): Plan
    {
        $plan = Build::plan($outline);

        return $plan->with($plan->topic(Plan::ROOT)->withTitle('Plan'));
    }

    public function testASectionIsLeftOutOrShownWhole(): void
    {
        $plan = self::plan(self::OUTLINE);
        [$marsh, $breach] = [Build::id($plan, 'The marsh'), Build::id($plan, 'The breach')];
        self::assertSame(
            ['Plan', '1 The marsh: 1.1 Grazing / 1.2 The wall of 1887 / >1.2.1 Who paid', '3 What remains'],
            self::told($plan, new ShowChoices(without: [$breach], whole: [$marsh])),
        );
        $branch = Show::of($plan, new Choices(from: $marsh))->steps;
        self::assertSame(['The marsh', 'Grazing', 'The wall of 1887', 'Who paid'], array_column($branch, 'title'));
        self::assertSame(['1', '1.1', '1.2', '1.2.1'], array_column($branch, 'number'));
    }

    public function testOnlyWhatBearsALabelIsShown(): void
    {
        $plan = self::plan(self::OUTLINE);
        $paid = Build::id($plan, 'Who paid');
        $plan = $plan->with($plan->topic($paid)->with(['labels' => ['talk']]));
        self::assertSame(['Plan', '1.2.1 Who paid'], self::told($plan, new ShowChoices(label: 'talk')));
    }

    public function testAsidesAndWhatIsUnderThemAreNeverShown(): void
    {
        $plan = self::plan("Clay\n  Not this\n    Nor this\n  But this");
        $aside = Build::id($plan, 'Not this');
        $plan = $plan->with($plan->topic($aside)->with(['kind' => Kind::Aside]));
        self::assertSame(['Plan', '1 Clay: 1.1 But this', '1.1 But this'], self::told($plan, new ShowChoices(levels: 9)));
    }

    public function testQuotationsComeWithTheirSource(): void
    {
        $plan = self::plan("Clay\n  It held for a century.");
        $source = new Source(Build::ulid(900), 'Walls of Clay', SourceKind::Book, [new Person('Tamm', 'Öndine')]);
        $plan = $plan->withSources([$source->id => $source]);
        $cited = ['type' => 'citation', 'attrs' => ['items' => [['source' => $source->id, 'pages' => '12']]]];
        $block = static fn(string $type, int $n, array $content): array
            => ['type' => $type, 'attrs' => ['id' => Build::ulid($n)], 'content' => $content];
        $words = static fn(string $text): array => ['type' => 'text', 'text' => $text];
        $note = static fn(array ...$blocks): Note => Note::of(array_map(Schema::block(...), array_values($blocks)));
        $quote = Build::id($plan, 'It held for a century.');
        $clay = Build::id($plan, 'Clay');
        $plan = $plan
            ->with($plan->topic($quote)->with(['kind' => Kind::Quote])->withNote($note($block('paragraph', 901, [$cited]))))
            ->with($plan->topic($clay)->withNote($note(
                $block('paragraph', 902, [$words('As is known '), $cited]),
                $block('blockquote', 903, [['type' => 'paragraph', 'content' => [$words('The sea gave back '), $cited, $words('.')]]]),
            )));
        $step = Show::of($plan, new Choices())->steps[1];
        self::assertSame(['The sea gave back.', 'It held for a century.'], array_column($step->lines, 'text'));
        foreach ($step->lines as $line) {
            self::assertTrue($line->isQuote);
            self::assertStringContainsString('Tamm', $line->source);
            self::assertStringContainsString('12', $line->source);
        }
        self::assertStringContainsString('As is known', $step->note);
    }

    public function testWhatHasMoreLinesThanOneCanShowGoesOnInTheNext(): void
    {
        $plan = self::plan("Clay\n" . implode("\n", array_map(static fn(int $n): string => "  Part {$n}", range(1, 30))));
        $steps = Show::of($plan, new Choices(show: new ShowChoices(levels: 1)))->steps;
        self::assertSame([0, 0, 1, 2, 3], array_column($steps, 'part'));
        self::assertSame(30, array_sum(array_map(static fn(Step $step): int => \count($step->lines), $steps)));
        self::assertSame([1.0], array_values(array_unique(array_column($steps, 'scale'))));
    }

    public function testALineThatIsTooLongMakesTheTypeSmaller(): void
    {
        $long = trim(str_repeat('clay and tide ', 70));
        $plan = self::plan("{$long}\n  {$long}");
        $step = Show::of($plan, new Choices(show: new ShowChoices(levels: 1)))->steps[1];
        self::assertSame([$long, $long], [$step->title, $step->lines[0]->text]);
        self::assertLessThan(1.0, $step->scale);
    }

    public function testEveryLineOfAnyTreeIsShownOnceInReadingOrder(): void
    {
        for ($seed = 1; $seed <= 60; ++$seed) {
            $plan = Trees::random($seed, 60);
            $shown = [];
            foreach (Show::of($plan, new Choices(show: new ShowChoices(levels: 1, whole: $plan->parts(Plan::ROOT))))->steps as $step) {
                array_push($shown, ...$step->level === 1 && $step->part === 0 ? [$step->topic] : []);
                array_push($shown, ...array_column($step->lines, 'topic'));
            }
            $printed = \array_slice(Draft::topics($plan, Plan::ROOT), 1);
            // What is no section and stands beside the main ones is a line of the opening.
            $first = array_filter($plan->parts(Plan::ROOT), static fn(string $id): bool => $plan->topic($id)->kind !== Kind::Section);
            $under = array_merge([], ...array_map(static fn(string $id): array => [$id, ...$plan->branch($id)], array_values($first)));
            self::assertSame(
                array_values(array_diff($printed, $under)),
                array_values(array_diff($shown, $under)),
                "Tree {$seed}.",
            );
        }
    }

    public function testByThePaceOfSpeechAStepStaysAsLongAsItsNoteTakes(): void
    {
        $plan = self::plan("Clay\n  A\n  B");
        $plan = $plan->with($plan->topic(Build::id($plan, 'Clay'))->withNote(Build::note(trim(str_repeat('word ', 260)))));
        $seconds = static fn(ShowChoices $show): array => Show::of($plan, new Choices(show: $show))->seconds();
        self::assertSame([2, 120], $seconds(new ShowChoices(levels: 1, spoken: true)));
        self::assertSame([2, 120], $seconds(new ShowChoices(levels: 1, spoken: true, oneByOne: false)));
        self::assertSame([15, 15], $seconds(new ShowChoices(levels: 1, seconds: 15)));
    }

    public function testAPlanWithoutTopicsIsItsOpening(): void
    {
        $steps = Show::of(Plan::titled('Empty'), new Choices())->steps;
        self::assertCount(1, $steps);
        self::assertSame([0, []], [$steps[0]->level, $steps[0]->lines]);
    }

    public function testWhatWasKeptIsTakenAsFarAsItFits(): void
    {
        self::assertEquals(new ShowChoices(), ShowChoices::from(['levels' => 'x', 'without' => ['no id'], 'seconds' => [], 'whole' => 7]));
        self::assertSame([9, 2], [ShowChoices::from(['levels' => 40])->levels, ShowChoices::from(['seconds' => -3])->seconds]);
        $kept = new ShowChoices(3, 'talk', [Build::ulid(1)], [Build::ulid(2)], false, true, 12, 20);
        self::assertEquals($kept, ShowChoices::from($kept->toArray()));
    }
}
