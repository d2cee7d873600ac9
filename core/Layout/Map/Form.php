<?php

declare(strict_types=1);

namespace Embrel\Layout\Map;

/** What stands around the title of a topic. */
enum Form: string
{
    case Plain = 'plain';
    case Underlined = 'underlined';
    case Framed = 'framed';
    case Filled = 'filled';

    public function label(): string
    {
        return match ($this) {
            self::Plain => 'Plain',
            self::Underlined => 'Underlined',
            self::Framed => 'Framed',
            self::Filled => 'Filled',
        };
    }

    /** Whether a title stands on the ground itself: where that is a picture, on a plate of its own. */
    public function isOpen(): bool
    {
        return $this === self::Plain || $this === self::Underlined;
    }

    /** @return float between the text and what is around it, in pixels */
    public function room(): float
    {
        return match ($this) {
            self::Plain => 0.0,
            self::Underlined => 2.0,
            self::Framed, self::Filled => 5.0,
        };
    }
}
