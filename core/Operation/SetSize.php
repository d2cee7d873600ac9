<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\Size;

/** How large topics are set on the map; null: as their level has it. */
final readonly class SetSize extends SetField
{
    protected static function field(): string
    {
        return 'size';
    }

    protected static function stored(mixed $value): ?string
    {
        return $value instanceof Size ? $value->value : null;
    }
}
