<?php

declare(strict_types=1);

namespace Embrel\Layout\Map;

/** One fan while it is opened: how far out its parts must stand so that they fit into an angle. */
final class Opening
{
    /** @var array<int, float> by position in the tree: from a topic's end to its parts */
    private array $reaches;
    /** @var list<float> from the middle of the arcs to a topic's floret */
    private array $radii = [];
    /** @var array<int, float> as in Bands, but in radians */
    private array $offsets = [];
    /** @var array<int, float> */
    private array $spans = [];
    private float $opening = 0.0;

    public function __construct(private readonly Boxes $boxes, private readonly Spacing $spacing, private readonly int $from, private readonly int $to)
    {
        $this->reaches = array_fill(0, $to - $from, $spacing->reach);
    }

    /** @return array{list<float>, list<float>} radius and angle of each topic of the tree */
    public function within(float $widest): array
    {
        $this->measure(0.0);
        if ($this->opening > $widest) {
            $this->reaches[0] += $this->fitting($widest);
            $this->measure(0.0);
        }
        $this->clear();
        $this->measure(0.0);
        $angles = [0.0];
        for ($i = $this->from + 1; $i < $this->to; ++$i) {
            $parent = $this->boxes->parents[$i] - $this->from;
            $angles[] = $angles[$parent] + $this->offsets[$i - $this->from] - $this->spans[$parent] / 2;
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
        foreach ($this->spans as $i => $span) {
            $exit = $this->radii[$i] + $this->boxes->widths[$i + $this->from];
            $corner = hypot($exit, $this->boxes->heights[$i + $this->from] / 2);
            $needed = max($corner + Spacing::FLORET + 4, $exit / cos(min(1.0, -$span / 2)) + $this->spacing->reach * 0.5 + Spacing::FLORET) - $exit;
            $this->reaches[$i] = max($this->reaches[$i], $needed);
        }
    }

    /** Works out radii and offsets, with all parts farther out by `$more`; gives the opening of the whole. */
    private function measure(float $more): float
    {
        [$parents, $widths, $heights, $from, $rows] = [$this->boxes->parents, $this->boxes->widths, $this->boxes->heights, $this->from, $this->spacing->rows];
        $this->radii = [0.0];
        for ($i = $from + 1; $i < $this->to; ++$i) {
            $parent = $parents[$i] - $from;
            $this->radii[] = $this->radii[$parent] + $widths[$parent + $from] + $this->reaches[$parent] + ($parent === 0 ? $more : 0.0);
        }
        $cursor = $above = $below = $this->offsets = [];
        $up = $down = 0.0;
        for ($i = $this->to - $from - 1; $i >= 0; --$i) {
            // h / 2r is more than the angle whose tangent it is: a bound without trigonometry.
            $up = $down = $i === 0 ? 0.0 : ($heights[$i + $from] + $rows) / 2 / ($this->radii[$i] - Spacing::FLORET);
            if (isset($cursor[$i])) {
                $half = $cursor[$i] / 2;
                $up = max($up, $above[$i] - $half);
                $down = max($down, $below[$i] - $half);
            }
            if ($i === 0) {
                break;
            }
            $parent = $parents[$i + $from] - $from;
            if (isset($cursor[$parent])) {
                $cursor[$parent] -= $above[$parent] + $down;
            } else {
                $cursor[$parent] = 0.0;
                $below[$parent] = $down;
            }
            $above[$parent] = $up;
            $this->offsets[$i] = $cursor[$parent];
        }
        $this->spans = $cursor;

        return $this->opening = $up + $down;
    }
}
