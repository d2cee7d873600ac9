<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\Target;

/** How many words topics are to reach; null: no target of their own. */
final readonly class SetTarget extends SetField
{
    protected static function field(): string
    {
        return 'target';
    }

    protected static function stored(mixed $value): ?int
    {
        return $value instanceof Target ? $value->words : null;
    }
}
