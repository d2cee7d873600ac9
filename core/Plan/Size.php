<?php

declare(strict_types=1);

namespace Embrel\Plan;

/** How large a topic is set on the map, where that is not as its level has it. */
enum Size: string
{
    case Small = 'small';
    case Large = 'large';
    case Huge = 'huge';

    /** @return float by what the size of its level is multiplied */
    public function factor(): float
    {
        return match ($this) {
            self::Small => 0.85,
            self::Large => 1.25,
            self::Huge => 1.6,
        };
    }
}
