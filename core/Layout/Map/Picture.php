<?php

declare(strict_types=1);

namespace Embrel\Layout\Map;

use Embrel\Fonts\Face;
use Embrel\Fonts\Ruler;
use Embrel\Layout\Text\Wrapping;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Plan;
use Embrel\Plan\Spot;
use Embrel\Plan\WordTotals;

/** The map of a plan, or of one branch of it: what is drawn of each topic that is shown, and where. */
final readonly class Picture
{
    public const TITLE = 19.0;

    /**
     * @param list<Label>            $labels in reading order
     * @param non-empty-list<string> $title  lines
     * @param array{float, float}    $titleSize
     * @param list<array{int, int}>  $sections of each main section its position, and the one after its last topic
     */
    private function __construct(
        public Look $look,
        public array $labels,
        public Boxes $boxes,
        public Geometry $geometry,
        public array $title,
        public array $titleSize,
        public array $sections,
        private Stalk $stalk,
    ) {}

    /**
     * @param array<string, true> $folded topics whose parts are not shown
     * @param string              $start  the topic whose parts are the main sections
     */
    public static function of(
        Plan $plan,
        Numbering $numbering,
        WordTotals $totals,
        Look $look,
        array $folded = [],
        string $start = Plan::ROOT,
    ): self {
        $ruler = new Ruler();
        $labelling = new Labelling($plan, $numbering, $totals, $look, $ruler);
        $growing = new Growing($plan, $labelling, $look, $folded);
        foreach ($plan->parts($start) as $id) {
            $growing->add($id, 1);
        }
        $boxes = $growing->boxes();
        $title = $numbering->titled($plan->topic($start));
        $lines = (new Wrapping($ruler))->lines(
            $title === '' ? Labelling::UNTITLED : $title,
            Face::Title,
            self::TITLE,
            [Arrangement::Spine->value => 640.0, Arrangement::Both->value => 260.0, Arrangement::Round->value => 140.0][
                $look->arrangement->value
            ],
        );
        $size = [
            max(array_map(static fn(string $line): float => $ruler->width($line, Face::Title, self::TITLE), $lines)),
            \count($lines) * self::TITLE * Label::LINE,
        ];
        $spacing = Spacing::of($look->dress());
        $geometry = Geometry::of($look->arrangement, $boxes, $spacing, $size);
        $placed
            = $start === Plan::ROOT
                ? array_values(array_filter($plan->parts(Plan::TRAY), static fn(string $id): bool => $plan->topics[$id]->spot !== null))
                : [];
        $loose = new Growing($plan, $labelling, $look, $folded);
        $spots = [];
        foreach ($placed as $id) {
            $loose->add($id, 2);
            $spots[] = $plan->topics[$id]->spot ?? Spot::of('0,0');
        }
        if ($placed !== []) {
            $geometry = $geometry->withLoose($loose->boxes(), $spacing, $spots);
            $boxes = $boxes->and($loose->boxes());
        }

        $labels = [...$growing->labels, ...$loose->labels];

        return new self($look, $labels, $boxes, $geometry, $lines, $size, $boxes->trees(), $look->dress()->stalk);
    }

    /** The dye of one of the lines that carry the main sections; null: ink. */
    public function spineDye(int $line): ?string
    {
        $section = match ($this->look->arrangement) {
            Arrangement::Spine => null,
            Arrangement::Both => $line - 1,
            Arrangement::Round => $line,
        };

        return isset($this->sections[$section ?? -1]) ? $this->labels[$this->sections[$section][0]]->dye : null;
    }

    /**
     * The line from a topic's parent to it, within its main section; '' for a main section.
     *
     * @return string a path of SVG
     */
    public function stalk(int $i): string
    {
        $points = $this->stalkPoints($i);
        if ($points === []) {
            return '';
        }
        [[$x1, $y1], [$x2, $y2], [$x3, $y3], [$x4, $y4]] = array_map(
            static fn(array $point): array => [round($point[0], 1), round($point[1], 1)],
            $points,
        );

        return match (true) {
            $this->stalk === Stalk::Straight => "M{$x1} {$y1}L{$x4} {$y4}",
            $this->stalk === Stalk::Angled => "M{$x1} {$y1}H" . round(($x1 + $x4) / 2, 1) . "V{$y4}H{$x4}",
            default => "M{$x1} {$y1}C{$x2} {$y2} {$x3} {$y3} {$x4} {$y4}",
        };
    }

    /** @return list<array{float, float}> from, two that bend it, to; a straight one is the line between the outer two */
    public function stalkPoints(int $i): array
    {
        $parent = $this->boxes->parents[$i];
        if ($parent < 0) {
            return [];
        }
        $geometry = $this->geometry;
        $from = [$geometry->x[$parent] + $this->boxes->widths[$parent], $geometry->y[$parent]];
        $to = [$geometry->x[$i] - Spacing::FLORET, $geometry->y[$i]];
        $reach = $to[0] - $from[0];

        return [$from, [$from[0] + $reach * 0.62, $from[1]], [$from[0] + $reach * 0.34, $to[1]], $to];
    }

    /** @return array{float, float, float, float} left, top, right and bottom of everything */
    public function bounds(): array
    {
        $geometry = $this->geometry;
        [$left, $top, $right, $bottom] = [
            $geometry->title[0] - $this->titleSize[0] / 2,
            $geometry->title[1] - $this->titleSize[1] / 2,
            $geometry->title[0] + $this->titleSize[0] / 2,
            $geometry->title[1] + $this->titleSize[1] / 2,
        ];
        foreach ($this->sections as [$from, $to]) {
            // Of the whole section first, as it stands in itself: it is moved and mirrored as one.
            [$start, $above, $end, $below] = [INF, INF, -INF, -INF];
            for ($i = $from; $i < $to; ++$i) {
                [$x, $y, $half] = [$geometry->x[$i], $geometry->y[$i], $this->boxes->heights[$i] / 2];
                $start = min($start, $x - $this->back($i));
                $end = max($end, $x + $this->boxes->widths[$i]);
                $above = min($above, $y - $half);
                $below = max($below, $y + $half);
            }
            foreach ([[$start, $above], [$end, $below]] as $corner) {
                [$x, $y] = $geometry->standings[$from]->point(...$corner);
                [$left, $top, $right, $bottom] = [min($left, $x), min($top, $y), max($right, $x), max($bottom, $y)];
            }
        }

        return [$left, $top, $right, $bottom];
    }

    /** @return array{float, float, float, float} left, top, right and bottom of a topic on the map */
    public function box(int $i, int $section): array
    {
        [[$left, $top]] = [[$right, $bottom]] = $corners = $this->corners($i, $section);
        foreach ($corners as [$x, $y]) {
            $left = min($left, $x);
            $right = max($right, $x);
            $top = min($top, $y);
            $bottom = max($bottom, $y);
        }

        return [$left, $top, $right, $bottom];
    }

    /**
     * The box of a topic on the map, which its floret, text and signs do not leave.
     *
     * @return non-empty-list<array{float, float}> its four corners, in turn
     */
    public function corners(int $i, int $section): array
    {
        $geometry = $this->geometry;
        $standing = $geometry->standings[$section];
        [$x, $y, $half] = [$geometry->x[$i], $geometry->y[$i], $this->boxes->heights[$i] / 2];
        [$start, $end] = [$x - $this->back($i), $x + $this->boxes->widths[$i]];

        $corners = [[$start, $y - $half], [$end, $y - $half], [$end, $y + $half], [$start, $y + $half]];

        return array_map(static fn(array $corner): array => $standing->point(...$corner), $corners);
    }

    /** How far a topic reaches back from the middle of its floret. */
    private function back(int $i): float
    {
        return $this->labels[$i]->level === 1 ? Spacing::DISC : Spacing::FLORET;
    }
}
