<?php

declare(strict_types=1);

namespace Tests\Core;

use Embrel\Fonts\Face;
use Embrel\Fonts\Ruler;
use Embrel\Layout\Map\Arrangement;
use Embrel\Layout\Map\Legible;
use Embrel\Layout\Map\Look;
use Embrel\Layout\Map\Picture;
use Embrel\Layout\Map\Routing;
use Embrel\Layout\Map\Style;
use Embrel\Layout\Map\Track;
use Embrel\Layout\Text\Wrapping;
use Embrel\Numbering\Numbering;
use Embrel\Operation\AddTopics;
use Embrel\Operation\SetField;
use Embrel\Plan\Alone;
use Embrel\Plan\Dye;
use Embrel\Plan\Edit;
use Embrel\Plan\Field;
use Embrel\Plan\Place;
use Embrel\Plan\Plan;
use Embrel\Plan\Relation;
use Embrel\Plan\Size;
use Embrel\Plan\Spot;
use Embrel\Plan\Topic;
use Embrel\Plan\WordTotals;
use Embrel\Reader\Format as Reading;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Build\Build;
use Tests\Core\Build\Trees;

/** The picture of a plan: nothing meets, the order can be walked, and what was not touched moves only as a whole. */
final class MapTest extends TestCase
{
    private const REPORT = "Why\n  Storms\n  Fish\n  Mud\nBefore\n  Grazing\n  Wall\n  Lost\n    Plants\n    Birds\nBreach\n  Sites\n  Tides\nWho gains\n  Farms\nTen years\n  Plants again\n  Birds again\n  Creeks\nWhat next";

    /** @param array<string, true> $folded */
    private static function picture(Plan $plan, Look $look, array $folded = [], string $start = Plan::ROOT): Picture
    {
        return Picture::of($plan, Numbering::of($plan), WordTotals::of($plan), $look, $folded, $start);
    }

    /** @return iterable<string, array{Arrangement}> */
    public static function arrangements(): iterable
    {
        foreach (Arrangement::cases() as $arrangement) {
            yield $arrangement->value => [$arrangement];
        }
    }

    #[DataProvider('arrangements')]
    public function testNoTwoLabelsMeetAndNoStalkCrossesALabel(Arrangement $arrangement): void
    {
        for ($seed = 1; $seed <= 1000; ++$seed) {
            $style = Style::cases()[$seed % \count(Style::cases())];
            $picture = self::picture(
                Trees::random($seed, $seed % 50 === 0 ? 300 : 30),
                new Look($arrangement, $style, 120 + ($seed % 5) * 100),
            );
            $boxes = self::boxes($picture);
            self::assertSame([], self::meetings($boxes), "{$arrangement->value}, seed {$seed}");
            self::assertSame([], self::crossings($picture, $boxes), "{$arrangement->value}, seed {$seed}");
        }
    }

    #[DataProvider('arrangements')]
    public function testWalkingThePictureGivesTheReadingOrder(Arrangement $arrangement): void
    {
        for ($seed = 1; $seed <= 200; ++$seed) {
            $picture = self::picture(Trees::random($seed), new Look($arrangement));
            $geometry = $picture->geometry;
            $last = [];
            foreach ($picture->boxes->parents as $i => $parent) {
                $standing = $parent < 0 ? $geometry->standings[$i] : null;
                $at = match (true) {
                    $standing === null => $geometry->y[$i],
                    // Clockwise around the title, from the top.
                    $arrangement === Arrangement::Round => fmod(atan2($standing->y, $standing->x) + 2.5 * M_PI, 2 * M_PI),
                    default => $standing->y + ($standing->isMirrored ? 1e6 : 0),
                };
                if (isset($last[$parent])) {
                    self::assertGreaterThan($last[$parent], $at, "{$arrangement->value}, seed {$seed}, topic {$i}");
                }
                $last[$parent] = $at;
            }
        }
    }

    #[DataProvider('arrangements')]
    public function testASectionThatWasNotTouchedMovesOnlyAsAWhole(Arrangement $arrangement): void
    {
        $plan = Build::plan(self::REPORT);
        $look = new Look($arrangement);
        $before = self::picture($plan, $look);
        $breach = Build::id($plan, 'Breach');
        foreach ([null, Build::id($plan, 'Tides')] as $after) {
            $plan = (new AddTopics(new Place($breach, $after), [
                [
                    'topic' => new Topic(Build::ulid($after === null ? 900 : 901), 'How fast will the mud rise, and where to?'),
                    'parent' => null,
                ],
            ]))->apply($plan);
        }
        $after = self::picture($plan, $look);
        $touched = 0;
        foreach ($before->sections as $s => [$from, $to]) {
            [$now, $end] = $after->sections[$s];
            if ($before->labels[$from]->id === $breach) {
                $touched = $end - $now - ($to - $from);
                continue;
            }
            for ($i = 0; $i < $to - $from; ++$i) {
                self::assertSame($before->labels[$from + $i]->id, $after->labels[$now + $i]->id);
                self::assertEqualsWithDelta(
                    [$before->geometry->x[$from + $i], $before->geometry->y[$from + $i]],
                    [$after->geometry->x[$now + $i], $after->geometry->y[$now + $i]],
                    1e-6,
                );
            }
        }
        self::assertSame(2, $touched);
    }

    public function testTheArrangementsStandAsTheyAreCalled(): void
    {
        $plan = Build::plan(self::REPORT);
        $spine = self::picture($plan, new Look(Arrangement::Spine));
        self::assertSame(
            [0.0],
            array_values(array_unique(array_map(static fn($standing): float => $standing->x, $spine->geometry->standings))),
        );
        $both = self::picture($plan, new Look(Arrangement::Both));
        $mirrored = array_values(array_map(static fn($standing): bool => $standing->isMirrored, $both->geometry->standings));
        self::assertSame([false, false, true, true, true, true], $mirrored, 'The right side first, and both about as high.');
        $round = self::picture($plan, new Look(Arrangement::Round));
        self::assertSame(
            [false, false, true, true, true, true],
            array_values(array_map(static fn($standing): bool => $standing->isMirrored, $round->geometry->standings)),
            'Down the right side, then up the left one.',
        );
        foreach ($round->sections as [$from, $to]) {
            for ($i = $from; $i < $to; ++$i) {
                [[, $start], [, $end]] = $round->corners($i, $from);
                self::assertSame($start, $end, 'All labels are level.');
            }
        }
        $one = self::picture(Build::plan("Alone\n  Part"), new Look(Arrangement::Round));
        self::assertEqualsWithDelta(0.0, $one->geometry->standings[0]->y, 0.01);
    }

    public function testTheReportAndABookOfChaptersFitAScreenWhenTheyAreRound(): void
    {
        $read = static fn(string $file): Plan => Build::intake(
            Reading::ofPath($file),
            (string) file_get_contents(\dirname(__DIR__, 2) . "/database/seeders/plans/{$file}"),
        )->plan;
        $book = $read('bell-foundry.txt');
        foreach ([[$read('tide.md'), []], [$book, array_fill_keys($book->parts(Plan::ROOT), true)]] as [$plan, $folded]) {
            [$left, $top, $right, $bottom] = self::picture($plan, new Look(Arrangement::Round), $folded)->bounds();
            // What is left of 1280 by 800 below the head and the strip, with room around it.
            self::assertGreaterThanOrEqual(0.7, min((1280 - 48) / ($right - $left), (800 - 130 - 60) / ($bottom - $top)));
        }
    }

    public function testFoldedBranchesTellHowManyAreInside(): void
    {
        $plan = Build::plan(self::REPORT);
        $picture = self::picture($plan, new Look(), [Build::id($plan, 'Before') => true]);
        $label = array_values(array_filter($picture->labels, static fn($one): bool => $one->lines === ['Before']))[0];
        self::assertSame(5, $label->inside);
        self::assertNotContains('Grazing', array_map(static fn($one): string => $one->lines[0], $picture->labels));
        self::assertCount(6, self::picture($plan, new Look(branches: 1))->labels);
        self::assertSame([], self::picture($plan, new Look(titles: 1))->labels[1]->lines);
    }

    public function testLooksOfABranchGoOnToItsPartsOrHoldForItselfAlone(): void
    {
        $plan = Build::plan(self::REPORT);
        [$lost, $plants] = [Build::id($plan, 'Lost'), Build::id($plan, 'Plants')];
        $of = static function (Plan $plan, string $id): array {
            $label = array_values(array_filter(self::picture($plan, new Look())->labels, static fn($one): bool => $one->id === $id))[0];

            return [$label->size, $label->dye];
        };
        $usual = $of($plan, $plants);
        $plan = (new SetField(Field::Size, [$lost], Size::Huge))->apply($plan);
        $plan = (new SetField(Field::Dye, [$lost], Dye::of('orchil')))->apply($plan);
        self::assertSame([round(15.0 * 1.6, 1), 'orchil'], $of($plan, $lost));
        self::assertSame([round(14.5 * 1.6, 1), 'orchil'], $of($plan, $plants));
        self::assertSame([$usual[0], 'orchil'], $of((new SetField(Field::Alone, [$lost], Alone::Size))->apply($plan), $plants));
        $plan = (new SetField(Field::Alone, [$lost], Alone::Both))->apply($plan);
        self::assertSame($usual, $of($plan, $plants));
        self::assertSame([round(15.0 * 1.6, 1), 'orchil'], $of($plan, $lost));
        self::assertSame($usual, [
            self::picture($plan, new Look(), start: $lost)->labels[0]->size - 1.5,
            self::picture($plan, new Look(), start: $lost)->labels[0]->dye,
        ]);
    }

    public function testALooseIdeaOnTheGroundStandsWhereItWasPutInEveryArrangement(): void
    {
        $plan = Build::plan("A\n  A1\nB");
        $edit = (new Edit($plan))
            ->append(new Topic(Build::ulid(1), 'Loose', spot: Spot::of('-340,75')), Plan::TRAY)
            ->append(new Topic(Build::ulid(2), 'Under it'), Build::ulid(1))
            ->append(new Topic(Build::ulid(3), 'In the tray'), Plan::TRAY);
        foreach (Arrangement::cases() as $arrangement) {
            $picture = self::picture($edit->done(), new Look($arrangement));
            self::assertSame(
                ['A', 'A1', 'B', 'Loose', 'Under it'],
                array_map(static fn($label): string => $label->lines[0], $picture->labels),
            );
            self::assertSame([-340.0, 75.0], $picture->geometry->point(3, 3));
            self::assertNotSame('', $picture->stalk(4));
            self::assertSame([], self::meetings(self::boxes($picture)));
        }
    }

    public function testABranchAloneHasItsPartsAsMainSections(): void
    {
        $plan = Build::plan(self::REPORT);
        $picture = self::picture($plan, new Look(), start: Build::id($plan, 'Before'));
        self::assertSame(
            ['Grazing', 'Wall', 'Lost'],
            array_map(static fn(array $section): string => $picture->labels[$section[0]]->lines[0], $picture->sections),
        );
        self::assertSame(['2 Before'], $picture->title);
        self::assertSame('2.3', $picture->labels[2]->number);
    }

    public function testAnEmptyPlanIsItsTitleAlone(): void
    {
        foreach (Arrangement::cases() as $arrangement) {
            $picture = self::picture(Plan::titled(''), new Look($arrangement));
            self::assertSame(['Untitled'], $picture->title);
            self::assertSame([], $picture->labels);
            self::assertSame([], $picture->geometry->spine);
        }
    }

    public function testTitlesBreakBetweenWordsAndKeepEverySign(): void
    {
        $ruler = new Ruler();
        $wrapping = new Wrapping($ruler);
        for ($seed = 1; $seed <= 200; ++$seed) {
            foreach (Trees::random($seed, 8)->topics as $topic) {
                $lines = $wrapping->lines($topic->title, Face::Regular, 15.0, 130.0);
                self::assertSame(preg_replace('/\s+/u', '', $topic->title), preg_replace('/\s+/u', '', implode('', $lines)));
                foreach ($lines as $line) {
                    self::assertTrue(
                        $ruler->width($line, Face::Regular, 15.0) <= 130.0 || preg_match_all('/\X/u', $line) === 1,
                        "“{$line}” is too wide",
                    );
                }
            }
        }
        self::assertSame(['Why the marsh', 'matters'], $wrapping->lines('Why the marsh matters', Face::Regular, 15.0, 110.0));
        self::assertTrue(Wrapping::isRightToLeft('3. שלום'));
        self::assertFalse(Wrapping::isRightToLeft('Shalom שלום'));
    }

    public function testALookIsReadFromWhatMayBeAnything(): void
    {
        self::assertEquals(
            new Look(),
            Look::from(['arrangement' => ['x'], 'style' => 7, 'wrap' => 'wide', 'branches' => null, 'titles' => '3']),
        );
        self::assertSame(Look::WIDEST, Look::from(['wrap' => 9000000])->wrap);
        $look = new Look(Arrangement::Round, Style::Broad, 200, 1, 2, 3);
        self::assertEquals($look, Look::from($look->toArray()));
    }

    /** A relation finds a way around labels where there is one, follows its topics, and stands for what is folded away. */
    public function testRelationsRunBetweenLabels(): void
    {
        $plan = Build::plan(self::REPORT);
        $id = static fn(string $title): string => Build::id($plan, $title);
        $relations = [];
        foreach (
            [
                ['Storms', 'Tides'],
                ['Why', 'Ten years'],
                ['Plants', 'Plants again'],
                ['Mud', 'Creeks'],
                ['Farms', 'Grazing'],
                ['What next', 'Why'],
            ] as $n => [$from, $to]
        ) {
            $relations[Build::ulid(500 + $n)] = Relation::of(Build::ulid(500 + $n), $id($from), $id($to), 'because of');
        }
        foreach (Arrangement::cases() as $arrangement) {
            $picture = self::picture($plan, new Look($arrangement));
            $tracks = (new Routing($picture, $plan))->tracks($relations);
            self::assertCount(6, $tracks);
            $boxes = self::boxes($picture);
            $free = 0;
            foreach ($tracks as $track) {
                $line = array_map(static fn(int $t): array => Track::along($t / 60, $track->curve), range(4, 56));
                $crossed = array_filter(
                    $boxes,
                    static fn(array $box): bool => array_filter(
                        $line,
                        static fn(array $point): bool => !self::isApart($box[0], [$point]),
                    ) !== [],
                );
                // Where there is no free way, a label or two are crossed rather than the whole map gone round.
                self::assertLessThanOrEqual(
                    2,
                    \count($crossed),
                    "{$arrangement->value}: {$track->relation->from} crosses " . implode(', ', array_keys($crossed)),
                );
                self::assertCount(1, $track->heads());
                $free += $crossed === [] ? 1 : 0;
            }
            self::assertGreaterThanOrEqual(3, $free, "{$arrangement->value}: most find a free way.");
        }
        $picture = self::picture($plan, new Look(), [$id('Why') => true, $id('Ten years') => true]);
        self::assertCount(
            6,
            (new Routing($picture, $plan))->tracks($relations),
            'Folded topics are stood for by what they are folded into.',
        );
        $within = [Build::ulid(510) => Relation::of(Build::ulid(510), $id('Storms'), $id('Mud'))];
        self::assertSame([], (new Routing($picture, $plan))->tracks($within), 'Both ends in one folded topic: nothing to draw.');
    }

    public function testARelationBentByHandRunsThroughWhereItWasPulled(): void
    {
        $plan = Build::plan(self::REPORT);
        $relation = Relation::of(Build::ulid(500), Build::id($plan, 'Storms'), Build::id($plan, 'Tides'), bend: [300, -40]);
        $routing = new Routing(self::picture($plan, new Look()), $plan);
        [$track] = $routing->tracks([$relation->id => $relation]);
        [$x, $y] = $routing->straight($relation);
        self::assertEqualsWithDelta([$x + 300, $y - 40], $track->middle, 0.01);
        self::assertStringStartsWith('M', $track->path());
    }

    /** @return list<array{list<array{float, float}>, array{float, float, float, float}}> corners, and left, top, right, bottom */
    private static function boxes(Picture $picture): array
    {
        $boxes = [];
        foreach ($picture->sections as [$from, $to]) {
            for ($i = $from; $i < $to; ++$i) {
                $corners = $picture->corners($i, $from);
                $xs = array_column($corners, 0);
                $ys = array_column($corners, 1);
                $boxes[] = [$corners, [min($xs), min($ys), max($xs), max($ys)]];
            }
        }

        return $boxes;
    }

    /**
     * @param list<array{list<array{float, float}>, array{float, float, float, float}}> $boxes
     *
     * @return list<string>
     */
    private static function meetings(array $boxes): array
    {
        $meetings = [];
        $n = \count($boxes);
        for ($a = 0; $a < $n; ++$a) {
            [$corners, [$left, $top, $right, $bottom]] = $boxes[$a];
            for ($b = $a + 1; $b < $n; ++$b) {
                [$others, $bounds] = $boxes[$b];
                if (
                    $bounds[0] < $right
                    && $bounds[2] > $left
                    && $bounds[1] < $bottom
                    && $bounds[3] > $top
                    && !self::isApart($corners, $others)
                    && !self::isApart($others, $corners)
                ) {
                    $meetings[] = "{$a} and {$b}";
                }
            }
        }

        return $meetings;
    }

    /**
     * Whether a side of the first box has the second wholly on its far side.
     *
     * @param list<array{float, float}> $box
     * @param list<array{float, float}> $other
     */
    private static function isApart(array $box, array $other): bool
    {
        $turn = self::side($box[0], $box[1], $box[2]) > 0 ? 1 : -1;
        foreach ([0, 1, 2, 3] as $k) {
            if (
                max(array_map(static fn(array $corner): float => $turn * self::side($box[$k], $box[($k + 1) % 4], $corner), $other)) <= 1e-6
            ) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param array{float, float} $from
     * @param array{float, float} $to
     * @param array{float, float} $point
     */
    private static function side(array $from, array $to, array $point): float
    {
        return ($to[0] - $from[0]) * ($point[1] - $from[1]) - ($to[1] - $from[1]) * ($point[0] - $from[0]);
    }

    /**
     * @param list<array{list<array{float, float}>, array{float, float, float, float}}> $boxes
     *
     * @return list<string>
     */
    private static function crossings(Picture $picture, array $boxes): array
    {
        $crossings = [];
        // A spoke touches nothing but the disc that it leads to.
        foreach ($picture->look->arrangement === Arrangement::Round ? $picture->geometry->spine : [] as $s => [$x1, $y1, $x2, $y2]) {
            $points = array_map(static fn(int $t): array => [$x1 + (($x2 - $x1) * $t) / 50, $y1 + (($y2 - $y1) * $t) / 50], range(0, 49));
            foreach ($boxes as $b => [$corners]) {
                foreach ($b === $picture->sections[$s][0] ? [] : $points as $point) {
                    if (!self::isApart($corners, [$point])) {
                        $crossings[] = "spoke {$s} and label {$b}";
                        break;
                    }
                }
            }
        }
        foreach ($picture->sections as [$from, $to]) {
            for ($i = $from + 1; $i < $to; ++$i) {
                $line = self::along($picture, $i, $from);
                $xs = array_column($line, 0);
                $ys = array_column($line, 1);
                foreach ($boxes as $b => [$corners, [$left, $top, $right, $bottom]]) {
                    if ($left < max($xs) && $right > min($xs) && $top < max($ys) && $bottom > min($ys)) {
                        foreach ($line as $point) {
                            if (!self::isApart($corners, [$point])) {
                                $crossings[] = "stalk to {$i} and label {$b}";
                                break;
                            }
                        }
                    }
                }
            }
        }

        return $crossings;
    }

    /** @return list<array{float, float}> points of a stalk on the map, without its two ends, which touch what they join */
    private static function along(Picture $picture, int $i, int $section): array
    {
        $path = $picture->stalk($i);
        preg_match_all('/[MLCHV]|-?[0-9.]+/', $path, $m);
        $numbers = array_values(array_filter($m[0], is_numeric(...)));
        $points = [];
        if (str_contains($path, 'H')) {
            [$x1, $y1, $x2, $y4, $x4] = array_map(floatval(...), $numbers);
            $bends = [[$x1, $y1], [$x2, $y1], [$x2, $y4], [$x4, $y4]];
            for ($t = 1; $t < 30; ++$t) {
                $k = intdiv($t, 10);
                $points[] = [
                    $bends[$k][0] + (($bends[$k + 1][0] - $bends[$k][0]) * ($t % 10)) / 10,
                    $bends[$k][1] + (($bends[$k + 1][1] - $bends[$k][1]) * ($t % 10)) / 10,
                ];
            }
        } else {
            $n = array_map(floatval(...), $numbers);
            [$a, $b, $c, $d] = str_contains($path, 'L')
                ? [
                    [$n[0], $n[1]],
                    [(2 * $n[0] + $n[2]) / 3, (2 * $n[1] + $n[3]) / 3],
                    [($n[0] + 2 * $n[2]) / 3, ($n[1] + 2 * $n[3]) / 3],
                    [$n[2], $n[3]],
                ]
                : [[$n[0], $n[1]], [$n[2], $n[3]], [$n[4], $n[5]], [$n[6], $n[7]]];
            for ($t = 0.03; $t < 0.98; $t += 0.04) {
                $points[] = array_map(
                    static fn(int $k): float => (1 - $t) ** 3 * $a[$k]
                        + 3 * (1 - $t) ** 2 * $t * $b[$k]
                        + 3 * (1 - $t) * $t ** 2 * $c[$k]
                        + $t ** 3 * $d[$k],
                    [0, 1],
                );
            }
        }

        return array_map(static fn(array $point): array => $picture->geometry->standings[$section]->point(...$point), $points);
    }

    public function testAPlanThatIsTooLargeToBeReadOpensFolded(): void
    {
        $folded = static fn(Plan $plan, Arrangement $arrangement): array => Legible::folded(
            $plan,
            Numbering::of($plan),
            WordTotals::of($plan),
            new Look($arrangement),
            [1232.0, 610.0],
        );
        $book = Build::intake(Reading::Text, (string) file_get_contents(\dirname(__DIR__, 2) . '/database/seeders/plans/bell-foundry.txt'))
            ->plan;
        foreach (Arrangement::cases() as $arrangement) {
            self::assertSame([], $folded(Build::plan("Why\n  Storms\n  Fish\nBefore"), $arrangement));
            $shut = $folded($book, $arrangement);
            self::assertNotSame([], $shut);
            [$left, $top, $right, $bottom] = self::picture($book, new Look($arrangement), array_fill_keys($shut, true))->bounds();
            // Level 1 is what is shown at least, whether it fits or not.
            $levels = array_values(array_unique(array_map(static fn(string $id): int => $book->level($id), $shut)));
            self::assertTrue($levels === [1] || min(1232 / ($right - $left), 610 / ($bottom - $top)) >= 0.6, $arrangement->value);
            self::assertCount(1, $levels);
        }
    }

    public function testTheNumberOfAMainSectionStandsOnce(): void
    {
        $plan = Build::plan("Why\n  Storms\nBefore");
        // The disc has the number of every main section; a label with an indent has its number in front of its title.
        $says = static fn(Plan $plan): array => array_map(
            static fn($label): array => [$label->number, $label->indent > 0],
            self::picture($plan, new Look())->labels,
        );
        self::assertSame([['1', false], ['1.1', true], ['2', false]], $says($plan));
        $chapters = $plan->withProperties($plan->properties->with(['numbering' => 'chapter']));
        self::assertSame(['Chapter 1', true], $says($chapters)[0]);
    }
}
