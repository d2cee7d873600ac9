<?php

declare(strict_types=1);

namespace Embrel\Layout\Map;

/** The form of the line from a topic to a part. */
enum Stalk: string
{
    case Curved = 'curved';
    case Straight = 'straight';
    case Angled = 'angled';

    public function label(): string
    {
        return match ($this) {
            self::Curved => 'Curved',
            self::Straight => 'Straight',
            self::Angled => 'At right angles',
        };
    }
}
