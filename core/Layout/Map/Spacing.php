<?php

declare(strict_types=1);

namespace Embrel\Layout\Map;

/** The room between topics, in pixels. */
final readonly class Spacing
{
    /** How far a label reaches back from the middle of its floret, and of a main section's disc. */
    public const FLORET = 7.0;
    public const DISC = 14.0;

    /**
     * @param float $rows     between two parts
     * @param float $sections between two main sections
     * @param float $reach    from a topic's end to the florets of its parts, at least
     */
    public function __construct(public float $rows = 7.0, public float $sections = 18.0, public float $reach = 54.0) {}

    public static function of(Dress $dress): self
    {
        return new self(7.0 * $dress->room, 18.0 * $dress->room, 54.0 * min(1.2, max(0.7, $dress->room)));
    }
}
