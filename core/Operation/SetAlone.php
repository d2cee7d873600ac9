<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\Alone;

/** Whether the dye or the size of topics is theirs alone; null: it goes on to their parts. */
final readonly class SetAlone extends SetField
{
    protected static function field(): string
    {
        return 'alone';
    }

    protected static function stored(mixed $value): ?string
    {
        return $value instanceof Alone ? $value->value : null;
    }
}
