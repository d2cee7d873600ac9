<?php

declare(strict_types=1);

namespace Embrel\Plan;

/** What of a topic's looks holds for itself alone, and not for its parts. */
enum Alone: string
{
    case Dye = 'dye';
    case Size = 'size';
    case Both = 'both';

    public function holdsDye(): bool
    {
        return $this !== self::Size;
    }

    public function holdsSize(): bool
    {
        return $this !== self::Dye;
    }
}
