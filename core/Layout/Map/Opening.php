<?php

declare(strict_types=1);

namespace Embrel\Layout\Map;

/** One fan while it is opened: how far out its parts must stand so that they fit into an angle. */
final class Opening
{
    /** @var array<int, float> by position in the tree: from a topic's end to its parts */
    private array $reaches;
    /** @var array<int, bool> */
    private array $withParts;
    /** @var list<float> from the middle of the arcs to a topic's floret */
    private array $radii = [];
    /** @var list<int> by position in the tree */
    private array $parents = [-1];
    private Stacking $stacking;
    private float $opening = 0.0;

    public function __construct(private readonly Boxes $boxes, private readonly Spacing $spacing, private readonly int $from, private readonly int $to)
    {
        $this->reaches = array_fill(0, $to - $from, $spacing->reach);
        $this->withParts = array_fill(0, $to - $from, false);
        for ($i = $from + 1; $i < $to; ++$i) {
            $this->parents[] = $parent = $boxes->parents[$i] - $from;
            $this->withParts[$parent] = true;
        }
        $this->measure(0.0);
    }

    /** @return array{list<float>, list<float>} radius and angle of each topic of the tree */
    public function within(float $widest): array
    {
        if ($this->opening > $widest) {
            $this->reaches[0] += $this->fitting($widest);
            $this->measure(0.0);
        }
        $this->clear();
        $this->measure(0.0);
        $angles = [0.0];
        for ($i = 1, $count = \count($this->parents); $i < $count; ++$i) {
            $parent = $this->parents[$i];
            $angles[] = $angles[$parent] + $this->stacking->offsets[$i] - $this->stacking->spans[$parent] / 2;
        }

        return [$this->radii, $angles];
    }

    /** How much farther out all parts must stand. The opening falls with it and is convex, so each guess from the right is safe. */
    private function fitting(float $widest): float
    {
        [$low, $high] = [0.0, 64.0];
        [$tooWide, $opening] = [$this->opening, $this->measure($high)];
        while ($opening > $widest) {
            [$low, $high, $tooWide] = [$high, $high * 2, $opening];
            $opening = $this->measure($high);
        }
        // The chord lies above a convex curve: where it crosses the limit, the curve is below it.
        for ($try = 0; $try < 3 && $widest - $opening > 0.02; ++$try) {
            $middle = $low + ($high - $low) * ($tooWide - $widest) / ($tooWide - $opening);
            $opening = $this->measure($middle);
            $high = $middle;
        }

        return $high;
    }

    /** Stalks must not cut back into the label that they leave: its parts stand beyond its end, seen along its own ray. */
    private function clear(): void
    {
        foreach ($this->stacking->spans as $i => $span) {
            if (!$this->withParts[$i]) {
                continue;
            }
            $exit = $this->radii[$i] + $this->boxes->widths[$i + $this->from];
            $corner = hypot($exit, $this->boxes->heights[$i + $this->from] / 2);
            $needed = max($corner + Spacing::FLORET + 4, $exit / cos(min(1.0, -$span / 2)) + $this->spacing->reach * 0.5 + Spacing::FLORET) - $exit;
            $this->reaches[$i] = max($this->reaches[$i], $needed);
        }
    }

    /** Works out where everything stands, with all parts farther out by `$more`; gives the opening of the whole. */
    private function measure(float $more): float
    {
        [$parents, $widths, $heights, $from, $rows] = [$this->parents, $this->boxes->widths, $this->boxes->heights, $this->from, $this->spacing->rows];
        $reaches = $this->reaches;
        $reaches[0] += $more;
        // The main section itself stands before the arcs and takes up nothing of them.
        [$radii, $halves] = [[0.0], [0.0]];
        for ($i = 1, $count = $this->to - $from; $i < $count; ++$i) {
            $parent = $parents[$i];
            $radii[] = $radius = $radii[$parent] + $widths[$parent + $from] + $reaches[$parent];
            // h / 2r is more than the angle whose tangent it is: a bound without trigonometry.
            $halves[] = ($heights[$i + $from] + $rows) / 2 / ($radius - Spacing::FLORET);
        }
        $this->radii = $radii;
        $this->stacking = Stacking::of($parents, $halves, 0.0);

        return $this->opening = array_sum($this->stacking->extents[0]);
    }
}
