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
    /** @var array<int, float> from the last part of the same topic, in radians */
    private array $offsets = [];
    /** @var array<int, float> topic → from its last to its first part */
    private array $spans = [];
    private float $opening = 0.0;

    public function __construct(private readonly Boxes $boxes, private readonly Spacing $spacing, private readonly int $from, private readonly int $to)
    {
        $this->reaches = array_fill(0, $to - $from, $spacing->reach);
        $this->withParts = array_fill(0, $to - $from, false);
        for ($i = $from + 1; $i < $to; ++$i) {
            $this->withParts[$boxes->parents[$i] - $from] = true;
        }
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
            if (!$this->withParts[$i]) {
                continue;
            }
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
        [$reaches, $radii] = [$this->reaches, [0.0]];
        for ($i = $from + 1; $i < $this->to; ++$i) {
            $parent = $parents[$i] - $from;
            $radii[] = $radii[$parent] + $widths[$parent + $from] + $reaches[$parent] + ($parent === 0 ? $more : 0.0);
        }
        $n = $this->to - $from;
        $cursor = $below = $offsets = array_fill(0, $n, 0.0);
        $above = array_fill(0, $n, -1.0);
        $up = $down = 0.0;
        for ($i = $n - 1; $i >= 0; --$i) {
            // h / 2r is more than the angle whose tangent it is: a bound without trigonometry.
            $up = $down = $i === 0 ? 0.0 : ($heights[$i + $from] + $rows) / 2 / ($radii[$i] - Spacing::FLORET);
            if ($above[$i] >= 0.0) {
                $half = $cursor[$i] / 2;
                if ($above[$i] - $half > $up) {
                    $up = $above[$i] - $half;
                }
                if ($below[$i] - $half > $down) {
                    $down = $below[$i] - $half;
                }
            }
            if ($i === 0) {
                break;
            }
            $parent = $parents[$i + $from] - $from;
            if ($above[$parent] >= 0.0) {
                $cursor[$parent] -= $above[$parent] + $down;
            } else {
                $below[$parent] = $down;
            }
            $above[$parent] = $up;
            $offsets[$i] = $cursor[$parent];
        }
        [$this->radii, $this->offsets] = [$radii, $offsets];
        $this->spans = $cursor;

        return $this->opening = $up + $down;
    }
}
