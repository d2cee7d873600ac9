<?php

declare(strict_types=1);

namespace Embrel\Layout\Map;

/** How the main sections stand on the map. */
enum Arrangement: string
{
    /** Down an upright line in reading order, branches to its right. */
    case Spine = 'spine';
    /** Down the right side of the line, then down its left side. */
    case Both = 'both';
    /** Clockwise from the top, around the title. */
    case Round = 'round';
}
