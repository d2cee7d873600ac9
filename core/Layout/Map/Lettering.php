<?php

declare(strict_types=1);

namespace Embrel\Layout\Map;

use Embrel\Fonts\Face;

/** The type in which the titles of topics are set. */
enum Lettering: string
{
    case Sans = 'sans';
    case Serif = 'serif';

    public function label(): string
    {
        return match ($this) {
            self::Sans => 'Without serifs',
            self::Serif => 'With serifs',
        };
    }

    public function face(int $level): Face
    {
        return match ($this) {
            self::Sans => $level === 1 ? Face::Strong : Face::Regular,
            self::Serif => $level === 1 ? Face::SerifStrong : Face::Serif,
        };
    }
}
