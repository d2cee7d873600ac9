<?php

declare(strict_types=1);

namespace Embrel\Layout\Map;

use Embrel\Fonts\Face;
use Embrel\Fonts\Ruler;
use Embrel\Plan\Plan;
use Embrel\Plan\Relation;

/**
 * Finds a way for each relation between the labels of a map: of a few dozen curves, from each side
 * of one topic to each of the other, more and less bent, that which crosses the fewest labels and is
 * shortest; a long way round is taken for a few labels at most. One that was bent by hand runs as it was bent.
 */
final class Routing
{
    public const SIZE = 12.5;
    private const CELL = 96.0;
    private const STEPS = 34;
    private const REACHES = [0.35, 0.7, 1.2, 2.0];
    /** What a crossed label costs, in pixels of way. */
    private const CROSSING = 1100.0;
    /** How much dearer a way is beyond the edge of the map. */
    private const BEYOND = 3.0;
    private const EDGE = 60.0;
    /** And that of another relation. */
    private const CROSSING_LABEL = 200.0;

    /** @var array<string, list<array{float, float, float, float, string}>> cell → boxes of labels that are in it, each with its topic */
    private array $cells = [];
    /** @var array{float, float, float, float} of the map, with some room around it */
    private array $bounds;
    /** @var array<string, array{int, int}> topic → its position, and that of its main section */
    private array $at = [];

    public function __construct(private readonly Picture $picture, private readonly Plan $plan, private readonly Ruler $ruler = new Ruler())
    {
        [$left, $top, $right, $bottom] = $picture->bounds();
        $this->bounds = [$left - self::EDGE * 2, $top - self::EDGE, $right + self::EDGE * 3, $bottom + self::EDGE];
        foreach ($picture->sections as [$from, $to]) {
            for ($i = $from; $i < $to; ++$i) {
                $id = $picture->labels[$i]->id;
                $this->at[$id] = [$i, $from];
                $this->block(...[...$picture->box($i, $from), $id]);
            }
        }
    }

    private function block(float $left, float $top, float $right, float $bottom, string $id): void
    {
        for ($x = (int) floor($left / self::CELL); $x <= (int) floor($right / self::CELL); ++$x) {
            for ($y = (int) floor($top / self::CELL); $y <= (int) floor($bottom / self::CELL); ++$y) {
                $this->cells["{$x} {$y}"][] = [$left, $top, $right, $bottom, $id];
            }
        }
    }

    /**
     * @param array<string, Relation> $relations
     *
     * @return list<Track> of those whose topics are on the map; one that is folded away is stood for by what it is folded into
     */
    public function tracks(array $relations): array
    {
        $tracks = [];
        foreach ($relations as $relation) {
            [$from, $to] = [$this->shown($relation->from), $this->shown($relation->to)];
            if ($from !== null && $to !== null && $from !== $to) {
                $tracks[] = $this->track($relation, $from, $to);
            }
        }

        return $tracks;
    }

    private function shown(string $id): ?string
    {
        if (!$this->plan->has($id) || !$this->plan->isLive($id)) {
            return null;
        }
        for ($at = $id; $at !== null; $at = $this->plan->parent($at)) {
            if (isset($this->at[$at])) {
                return $at;
            }
        }

        return null;
    }

    private function track(Relation $relation, string $from, string $to): Track
    {
        $curve = $relation->bend === null ? $this->best($from, $to) : $this->bent($from, $to, $relation->bend);
        $room
            = $relation->label === ''
                ? [0.0, 0.0]
                : [$this->ruler->width($relation->label, Face::Regular, self::SIZE) + 10.0, self::SIZE * Label::LINE];
        $label = $middle = Track::along(0.5, $curve);
        if ($room[0] > 0.0) {
            foreach ([0.5, 0.4, 0.6, 0.3, 0.7, 0.22, 0.78] as $t) {
                [$x, $y] = Track::along($t, $curve);
                if ($this->isFree($x - $room[0] / 2, $y - $room[1] / 2, $x + $room[0] / 2, $y + $room[1] / 2)) {
                    $label = [$x, $y];
                    break;
                }
            }
            // What comes later keeps clear of it.
            $this->block($label[0] - $room[0] / 2, $label[1] - $room[1] / 2, $label[0] + $room[0] / 2, $label[1] + $room[1] / 2, '');
        }

        return new Track($relation, $curve, $middle, $label, $room);
    }

    /** @return array{array{float, float}, array{float, float}, array{float, float}, array{float, float}} */
    private function best(string $from, string $to): array
    {
        $best = null;
        $least = INF;
        foreach ($this->doors($from) as [$a, $out]) {
            foreach ($this->doors($to) as [$d, $in]) {
                $distance = hypot($d[0] - $a[0], $d[1] - $a[1]);
                foreach (self::REACHES as $reach) {
                    $length = max(24.0, $distance * $reach);
                    $curve = [
                        $a,
                        [$a[0] + $out[0] * $length, $a[1] + $out[1] * $length],
                        [$d[0] + $in[0] * $length, $d[1] + $in[1] * $length],
                        $d,
                    ];
                    $cost = $this->cost($curve, $from, $to, $least);
                    if ($cost < $least) {
                        [$best, $least] = [$curve, $cost];
                    }
                }
            }
        }

        return $best ?? throw new \LogicException('A topic has no side.');
    }

    /**
     * Where lines leave a topic: the end of its text where no stalks begin, above and below its middle, and before
     * the disc of a main section.
     *
     * @return non-empty-list<array{array{float, float}, array{float, float}}> point, direction
     */
    private function doors(string $id): array
    {
        [$i, $section] = $this->at[$id];
        $label = $this->picture->labels[$i];
        [$x, $y] = $this->picture->geometry->point($i, $section);
        $standing = $this->picture->geometry->standings[$section];
        $out = $standing->out();
        [$middle, $half] = [$label->start + $label->width / 2, $label->height / 2 + 2.0];
        $doors = [[[$x + $middle * $out, $y + $half * $out], [0.0, $out]], [[$x + $middle * $out, $y - $half * $out], [0.0, -$out]]];
        if ($label->level === 1) {
            $doors[] = [[$x - (Spacing::DISC + 3.0) * $out, $y], [-$out, 0.0]];
        }
        if (($this->picture->boxes->parents[$i + 1] ?? -1) !== $i) {
            $end = $this->picture->boxes->widths[$i] + 3.0;
            array_unshift($doors, [[$x + $end * $out, $y], [$out, 0.0]]);
        }

        return $doors;
    }

    /** @param array{array{float, float}, array{float, float}, array{float, float}, array{float, float}} $curve */
    private function cost(array $curve, string $from, string $to, float $least): float
    {
        $crossed = [];
        $length = 0.0;
        [$x, $y] = $curve[0];
        for ($step = 1; $step <= self::STEPS; ++$step) {
            [$nextX, $nextY] = Track::along($step / self::STEPS, $curve);
            $isBeyond = $nextX < $this->bounds[0] || $nextY < $this->bounds[1] || $nextX > $this->bounds[2] || $nextY > $this->bounds[3];
            $length += hypot($nextX - $x, $nextY - $y) * ($isBeyond ? self::BEYOND : 1.0);
            foreach ([[($x + $nextX) / 2, ($y + $nextY) / 2], [$nextX, $nextY]] as [$atX, $atY]) {
                $these = $this->cells[((int) floor($atX / self::CELL)) . ' ' . ((int) floor($atY / self::CELL))] ?? [];
                foreach ($these as [$left, $top, $right, $bottom, $id]) {
                    if (
                        $atX > $left
                        && $atX < $right
                        && $atY > $top
                        && $atY < $bottom
                        && !(($id === $from && $step < 4) || ($id === $to && $step > self::STEPS - 3))
                    ) {
                        $crossed[$id] = $id === '' ? self::CROSSING_LABEL : self::CROSSING;
                    }
                }
            }
            if ($length + array_sum($crossed) > $least) {
                return INF;
            }
            [$x, $y] = [$nextX, $nextY];
        }

        return $length + array_sum($crossed);
    }

    private function isFree(float $left, float $top, float $right, float $bottom): bool
    {
        for ($x = (int) floor($left / self::CELL); $x <= (int) floor($right / self::CELL); ++$x) {
            for ($y = (int) floor($top / self::CELL); $y <= (int) floor($bottom / self::CELL); ++$y) {
                foreach ($this->cells["{$x} {$y}"] ?? [] as $box) {
                    if ($box[2] > $left && $box[0] < $right && $box[3] > $top && $box[1] < $bottom) {
                        return false;
                    }
                }
            }
        }

        return true;
    }

    /**
     * Through a point beside the middle of the straight line, from the nearest sides.
     *
     * @param array{int, int} $bend
     *
     * @return array{array{float, float}, array{float, float}, array{float, float}, array{float, float}}
     */
    private function bent(string $from, string $to, array $bend): array
    {
        [$one, $other] = [$this->middle($from), $this->middle($to)];
        $through = [($one[0] + $other[0]) / 2 + $bend[0], ($one[1] + $other[1]) / 2 + $bend[1]];
        [$a, $d] = [$this->nearestDoor($from, $through), $this->nearestDoor($to, $through)];
        // A quadratic curve whose middle is there, raised to a cubic one.
        $pull = [2 * $through[0] - ($a[0] + $d[0]) / 2, 2 * $through[1] - ($a[1] + $d[1]) / 2];

        return [
            $a,
            [$a[0] + (($pull[0] - $a[0]) * 2) / 3, $a[1] + (($pull[1] - $a[1]) * 2) / 3],
            [$d[0] + (($pull[0] - $d[0]) * 2) / 3, $d[1] + (($pull[1] - $d[1]) * 2) / 3],
            $d,
        ];
    }

    /**
     * @param array{float, float} $point
     *
     * @return array{float, float}
     */
    private function nearestDoor(string $id, array $point): array
    {
        $doors = array_column($this->doors($id), 0);
        usort(
            $doors,
            static fn(array $one, array $other): int => hypot($one[0] - $point[0], $one[1] - $point[1])
                <=> hypot($other[0] - $point[0], $other[1] - $point[1]),
        );

        return $doors[0];
    }

    /** @return array{float, float} */
    private function middle(string $id): array
    {
        [$i, $section] = $this->at[$id];
        $corners = $this->picture->corners($i, $section);

        return [array_sum(array_column($corners, 0)) / 4, array_sum(array_column($corners, 1)) / 4];
    }

    /** @return array{float, float} the middle of the straight line between two topics, from which a bend is counted */
    public function straight(Relation $relation): array
    {
        [$one, $other] = [$this->middle((string) $this->shown($relation->from)), $this->middle((string) $this->shown($relation->to))];

        return [($one[0] + $other[0]) / 2, ($one[1] + $other[1]) / 2];
    }
}
