<?php

declare(strict_types=1);

namespace Embrel\Layout\Map;

/**
 * Lays branches out as fans: the parts of a topic side by side on an arc around their main section,
 * each topic along its own ray and in a wedge of its own, which holds everything under it. No two
 * labels can meet, as no two wedges do; a stalk stays in its topic's wedge, on the far side of it
 * and short of its parts. Each fan knows nothing of the others, so that it is turned as a whole.
 */
final readonly class Fan
{
    /** The widest that a fan may open, in radians: from there on its parts stand farther out. */
    private const OPENING = 1.9;

    /**
     * @param list<float>            $radius of the floret, from that of its main section
     * @param list<float>            $angle  of its ray; 0 is that of the main section
     * @param list<array{int, int}>  $trees
     */
    private function __construct(public array $radius, public array $angle, public array $trees) {}

    public static function of(Boxes $boxes, Spacing $spacing): self
    {
        $radius = $angle = [];
        $trees = $boxes->trees();
        foreach ($trees as [$from, $to]) {
            $fan = new Opening($boxes, $spacing, $from, $to);
            [$radii, $angles] = $fan->within(self::OPENING);
            array_push($radius, ...$radii);
            array_push($angle, ...$angles);
        }

        return new self($radius, $angle, $trees);
    }
}
