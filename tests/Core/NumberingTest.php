<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Language\Counter;
use Embrel\Numbering\Numbering;
use Embrel\Numbering\Runs;
use Embrel\Plan\Comparison;
use Embrel\Plan\InvalidValue;
use Embrel\Plan\Kind;
use Embrel\Plan\Numbered;
use Embrel\Plan\Plan;
use Embrel\Plan\Properties;
use Embrel\Plan\Scheme;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;

final class NumberingTest extends TestCase
{
    private const TREE = "Abstract\nA\n  A1\n    A1x\n    A1y\n  point\n    under point\n  quote\n    under quote\n  A2\nB\n  B1\n  aside\nTables\n  T1\nMaps";

    private static function tree(): Plan
    {
        $plan = Build::plan(self::TREE);
        $changes = [
            'Abstract' => ['numbered' => Numbered::None],
            'Tables' => ['numbered' => Numbered::Appendix],
            'Maps' => ['numbered' => Numbered::Appendix],
            'point' => ['kind' => Kind::Point],
            'quote' => ['kind' => Kind::Quote],
            'aside' => ['kind' => Kind::Aside],
        ];
        foreach ($changes as $title => $change) {
            $plan = $plan->with($plan->topic(Build::id($plan, $title))->with($change));
        }

        return $plan;
    }

    /** @return iterable<string, array{Scheme, int, array<string, string>}> */
    public static function schemes(): iterable
    {
        yield 'decimal' => [
            Scheme::Decimal,
            9,
            [
                'A' => '1',
                'A1' => '1.1',
                'A1x' => '1.1.1',
                'A1y' => '1.1.2',
                'A2' => '1.2',
                'B' => '2',
                'B1' => '2.1',
                'Tables' => 'A',
                'T1' => 'A.1',
                'Maps' => 'B',
            ],
        ];
        yield 'decimal, to level 2' => [
            Scheme::Decimal,
            2,
            ['A' => '1', 'A1' => '1.1', 'A2' => '1.2', 'B' => '2', 'B1' => '2.1', 'Tables' => 'A', 'T1' => 'A.1', 'Maps' => 'B'],
        ];
        yield 'essay, points too' => [
            Scheme::Essay,
            9,
            [
                'A' => 'I.',
                'A1' => 'A.',
                'A1x' => '1.',
                'A1y' => '2.',
                'point' => 'B.',
                'under point' => '1.',
                'A2' => 'C.',
                'B' => 'II.',
                'B1' => 'A.',
                'Tables' => 'Appendix A',
                'T1' => 'A.1',
                'Maps' => 'Appendix B',
            ],
        ];
        yield 'chapter' => [
            Scheme::Chapter,
            3,
            [
                'A' => 'Chapter 1',
                'A1' => '1.1',
                'A1x' => '1.1.1',
                'A1y' => '1.1.2',
                'A2' => '1.2',
                'B' => 'Chapter 2',
                'B1' => '2.1',
                'Tables' => 'Appendix A',
                'T1' => 'A.1',
                'Maps' => 'Appendix B',
            ],
        ];
        yield 'none' => [Scheme::None, 9, []];
    }

    /** @param array<string, string> $expected */
    #[DataProvider('schemes')]
    public function testOwnForms(Scheme $scheme, int $depth, array $expected): void
    {
        $plan = self::tree();
        $own = [];
        foreach (Numbering::of($plan, $scheme, $depth)->own as $id => $label) {
            $own[$plan->topic($id)->title] = $label;
        }
        ksort($own);
        ksort($expected);
        self::assertSame($expected, $own);
    }

    public function testTheEssaySchemeRepeatsItsLastTwoForms(): void
    {
        $plan = Build::plan("a\n b\n  c\n   d\n    e\n     f\n      g\n       h");
        $numbering = Numbering::of($plan, Scheme::Essay, 9);
        $own = array_map(static fn(string $title): string => $numbering->own(Build::id($plan, $title)), str_split('abcdefgh'));
        self::assertSame(['I.', 'A.', '1.', 'a.', '(1)', '(a)', '(1)', '(a)'], $own);
        self::assertSame('I.A.1.a(1)(a)', $numbering->full(Build::id($plan, 'f')));
    }

    public function testChaptersRunOnAcrossParts(): void
    {
        $plan = Build::plan("P1\n  c1\n    s\n  c2\nP2\n  c3\n    t")->withProperties(
            new Properties(scheme: Scheme::Chapter, depth: 3, runOn: true),
        );
        $numbering = Numbering::of($plan);
        self::assertSame(
            ['Part I', 'Chapter 1', '1.1', 'Chapter 2', 'Part II', 'Chapter 3', '3.1'],
            array_map(static fn(string $title): string => $numbering->own(Build::id($plan, $title)), [
                'P1',
                'c1',
                's',
                'c2',
                'P2',
                'c3',
                't',
            ]),
        );
    }

    /** @param list<string> $forms */
    private static function numbered(Plan $plan, array $forms, bool $runOn = false, string $language = 'en'): Plan
    {
        $set = ['numbering' => 'own', 'number_forms' => $forms, 'numbering_depth' => 9, 'run_on' => $runOn, 'language' => $language];

        return $plan->withProperties($plan->properties->with($set));
    }

    public function testFormsOfOnesOwn(): void
    {
        $plan = self::numbered(self::tree(), ['Part {One}', '§ {1}', '{I}.{1}.{a}']);
        $own = [];
        foreach (Numbering::of($plan)->own as $id => $label) {
            $own[$plan->topic($id)->title] = $label;
        }
        self::assertEquals(
            [
                'A' => 'Part One',
                'A1' => '§ 1',
                'A1x' => 'I.1.a',
                'A1y' => 'I.1.b',
                'A2' => '§ 2',
                'B' => 'Part Two',
                'B1' => '§ 1',
                'Tables' => 'Appendix A',
                'T1' => 'A.1',
                'Maps' => 'Appendix B',
            ],
            $own,
        );
    }

    public function testFormsOfOnesOwnFromAfar(): void
    {
        $plan = Build::plan("a\n  b\n    c\nd\n  e\n    f");
        $forms = ['Part {One}', 'Chapter {1}', '{1}.{1}.'];
        foreach (
            [
                [false, ['Part One', 'Part One, Chapter 1', 'Part One, Chapter 1, 1.1', 'Part Two', 'Part Two, Chapter 1']],
                [true, ['Part One', 'Chapter 1', '1.1', 'Part Two', 'Chapter 2', '2.1']],
            ] as [$runOn, $expected]
        ) {
            $numbering = Numbering::of(self::numbered($plan, $forms, $runOn));
            $titles = \array_slice(str_split('abcdef'), 0, \count($expected));
            self::assertSame($expected, array_map(static fn(string $title): string => $numbering->full(Build::id($plan, $title)), $titles));
        }
    }

    public function testWordsAreThoseOfThePlansLanguage(): void
    {
        $plan = Build::plan(implode("\n", range('a', 'v')));
        $last = Build::id($plan, 'v');
        self::assertSame('Twenty-two', Numbering::of(self::numbered($plan, ['{One}']))->own($last));
        $german = Numbering::of(self::numbered($plan, ['Teil {One}'], false, 'de'))->own($last);
        self::assertSame('Teil Zweiundzwanzig', str_replace("\u{AD}", '', $german));
    }

    /** @return iterable<string, array{list<string>, string}> */
    public static function formsThatAreNone(): iterable
    {
        yield 'no count' => [['Part'], 'has no count in it'];
        yield 'nothing' => [[''], 'has no count in it'];
        yield 'an open brace' => [['{1} {'], 'has no count in it'];
        yield 'an unknown count' => [['{x}'], 'is no way to write a count'];
        yield 'markup' => [['{<b>}'], 'is no way to write a count'];
        yield 'levels that are not above' => [['{1}', '{1}.{1}.{1}'], 'has only 1 above it'];
        yield 'too long' => [[str_repeat('x', 60) . '{1}'], '60 characters at most'];
        yield 'no words' => [["\xFF{1}"], 'number_forms'];
    }

    /** @param list<string> $forms */
    #[DataProvider('formsThatAreNone')]
    public function testFormsThatAreNone(array $forms, string $why): void
    {
        $this->expectException(InvalidValue::class);
        $this->expectExceptionMessageMatches('/' . preg_quote($why, '/') . '/');
        (new Properties())->with(['number_forms' => $forms]);
    }

    public function testCounters(): void
    {
        self::assertSame(['iv', 'ix', 'xiv', 'mcmxcix'], array_map(Counter::LowerRoman->write(...), [4, 9, 14, 1999]));
        self::assertSame(['A', 'Z', 'AA', 'AZ', 'BA'], array_map(Counter::UpperLetter->write(...), [1, 26, 27, 52, 53]));
    }

    public function testRunsTellOnlyWhatDiffers(): void
    {
        $plan = Build::plan("A\nB\nC\n  C1\nD");
        self::assertSame([], Runs::since($plan, $plan, Comparison::between($plan, $plan)));
        $after = $plan->with($plan->topic(Build::id($plan, 'B'))->with(['kind' => Kind::Aside]));
        self::assertSame(
            [
                ['parent' => Plan::ROOT, 'from' => 1, 'own' => ['', '2', '3']],
                ['parent' => Build::id($plan, 'C'), 'from' => 0, 'own' => ['2.1']],
            ],
            Runs::since($plan, $after, Comparison::between($plan, $after)),
        );
    }

    public function testABranchThatCountsOnUnderAnotherNumberIsOneRun(): void
    {
        $plan = Build::plan("A\nB\nC\n  C1\n    C11\n    C12\n  C2\nD\n  D1\n    D11");
        $after = $plan->with($plan->topic(Build::id($plan, 'B'))->with(['kind' => Kind::Aside]));
        $runs = Runs::since($plan, $after, Comparison::between($plan, $after));
        self::assertSame(
            [
                ['under' => Build::id($plan, 'C'), 'was' => '3', 'is' => '2'],
                ['under' => Build::id($plan, 'D'), 'was' => '4', 'is' => '3'],
                ['parent' => Plan::ROOT, 'from' => 1, 'own' => ['', '2', '3']],
            ],
            $runs,
        );
        $essay = $plan->withProperties($plan->properties->with(['numbering' => 'essay']));
        $after = $after->withProperties($essay->properties);
        self::assertSame(
            [['parent' => Plan::ROOT, 'from' => 1, 'own' => ['', 'II.', 'III.']]],
            Runs::since($essay, $after, Comparison::between($essay, $after)),
            'what is under them does not say where it stands',
        );
    }
}
