<?php

declare(strict_types=1);

namespace Embrel\Layout\Map;

use Embrel\Plan\Spot;

/** Where everything stands: topics within their main section, main sections on the map, the line that carries them. */
final readonly class Geometry
{
    /**
     * @param array<int, float>    $x         of a topic's floret, from that of its main section
     * @param array<int, float>    $y
     * @param array<int, Standing> $standings main section → where it stands
     * @param list<array{float, float, float, float}> $spine lines that carry the main sections: from, to
     * @param array{float, float}  $title     the middle of the title
     */
    public function __construct(public array $x, public array $y, public array $standings, public array $spine, public array $title) {}

    /**
     * @param array{float, float} $title how wide and high the title is
     */
    public static function of(Arrangement $arrangement, Boxes $boxes, Spacing $spacing, array $title = [0.0, 0.0]): self
    {
        $bands = Bands::of($boxes, $spacing);

        return match ($arrangement) {
            Arrangement::Spine => self::spine($bands, $spacing, $title),
            Arrangement::Both => self::bothSides($bands, $spacing, $title),
            Arrangement::Round => self::round($bands, $spacing, $title),
        };
    }

    /** @param array{float, float} $title */
    private static function round(Bands $bands, Spacing $spacing, array $title): self
    {
        $ring = Ring::of($bands->extents, self::rightSide($bands->extents, $spacing), $spacing, $title);

        return new self($bands->x, $bands->y, $ring->standings, $ring->spokes, [0.0, 0.0]);
    }

    /**
     * With loose ideas that stand where a person put them, each with its parts to its right.
     *
     * @param list<Spot> $spots one for each tree
     */
    public function withLoose(Boxes $boxes, Spacing $spacing, array $spots): self
    {
        $bands = Bands::of($boxes, $spacing);
        $count = \count($this->x);
        $standings = $this->standings;
        foreach ($boxes->trees() as $n => [$from]) {
            $standings[$count + $from] = new Standing((float) $spots[$n]->x, (float) $spots[$n]->y);
        }

        return new self([...$this->x, ...$bands->x], [...$this->y, ...$bands->y], $standings, $this->spine, $this->title);
    }

    /** @param array{float, float} $title */
    private static function spine(Bands $bands, Spacing $spacing, array $title): self
    {
        $standings = [];
        foreach (self::column($bands->extents, $spacing, $title[1] / 2 + 24.0) as $i => $y) {
            $standings[$i] = new Standing(0.0, $y);
        }
        $last = $standings === [] ? 0.0 : $standings[array_key_last($standings)]->y;
        $spine = $standings === [] ? [] : [[0.0, $title[1] / 2 + 8.0, 0.0, $last]];

        return new self($bands->x, $bands->y, $standings, $spine, [$title[0] / 2 - Spacing::DISC, 0.0]);
    }

    /** @param array{float, float} $title */
    private static function bothSides(Bands $bands, Spacing $spacing, array $title): self
    {
        $right = self::rightSide($bands->extents, $spacing);
        $left = \array_slice($bands->extents, $right, null, true);
        $columns = [];
        foreach ([[\array_slice($bands->extents, 0, $right, true), false], [$left, true]] as [$extents, $isMirrored]) {
            $columns[] = [self::column($extents, $spacing, 0.0), self::height($extents, $spacing), $isMirrored];
        }
        $tallest = max($columns[0][1], $columns[1][1]);
        $standings = [];
        $ends = [];
        foreach ($columns as [$column, $height, $isMirrored]) {
            foreach ($column as $i => $y) {
                $standings[$i] = new Standing(
                    $isMirrored ? -40.0 : 40.0,
                    $y + ($tallest - $height) / 2 + $title[1] / 2 + 30.0,
                    $isMirrored,
                );
                $ends[] = $standings[$i]->y;
            }
        }
        $lines = $ends === [] ? [] : [[0.0, $title[1] / 2 + 8.0, 0.0, max($ends) + 22.0]];
        foreach ($standings as $standing) {
            $lines[] = [0.0, $standing->y, $standing->x, $standing->y];
        }
        ksort($standings);

        return new self($bands->x, $bands->y, $standings, $lines, [0.0, 0.0]);
    }

    /**
     * How many main sections stand on the right: so many that the taller side is as low as it can be.
     *
     * @param array<int, array{float, float}> $extents
     */
    private static function rightSide(array $extents, Spacing $spacing): int
    {
        $left = self::height($extents, $spacing);
        [$best, $lowest, $right, $n] = [0, INF, 0.0, 0];
        foreach ($extents as [$up, $down]) {
            ++$n;
            $right += $up + $down + $spacing->sections;
            $taller = max($right, $left - $right);
            if ($taller < $lowest) {
                [$best, $lowest] = [$n, $taller];
            }
        }

        return $best;
    }

    /** @param array<int, array{float, float}> $extents */
    private static function height(array $extents, Spacing $spacing): float
    {
        return array_sum(array_map(static fn(array $extent): float => $extent[0] + $extent[1], $extents))
            + max(0, \count($extents) - 1) * $spacing->sections;
    }

    /**
     * @param array<int, array{float, float}> $extents
     *
     * @return array<int, float> one below the other
     */
    private static function column(array $extents, Spacing $spacing, float $from): array
    {
        $at = [];
        foreach ($extents as $i => [$up, $down]) {
            $at[$i] = $from + $up;
            $from += $up + $down + $spacing->sections;
        }

        return $at;
    }

    /** @return array{float, float} where a topic's floret is on the map */
    public function point(int $i, int $section): array
    {
        return $this->standings[$section]->point($this->x[$i], $this->y[$i]);
    }
}
