<?php

declare(strict_types=1);

namespace Embrel\Plan;

/** The ways in which a plan's sections are numbered. */
enum Scheme: string
{
    case Decimal = 'decimal';
    case Essay = 'essay';
    case Chapter = 'chapter';
    case None = 'none';
    /** In forms of the writer's own (NumberForm). */
    case Own = 'own';

    /** Whether its second level may count on across the first, as chapters do across parts. */
    public function canRunOn(): bool
    {
        return $this === self::Chapter || $this === self::Own;
    }
}
