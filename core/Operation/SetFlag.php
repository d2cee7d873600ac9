<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\Flag;

/** The sign set on topics; null takes it away. */
final readonly class SetFlag extends SetField
{
    protected static function field(): string
    {
        return 'flag';
    }

    protected static function stored(mixed $value): ?string
    {
        return $value instanceof Flag ? $value->value : null;
    }
}
