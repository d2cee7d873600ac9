<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\Numbered;

/** Whether topics are numbered as usual, not at all, or as appendices. */
final readonly class SetNumbered extends SetField
{
    protected static function field(): string
    {
        return 'numbered';
    }

    protected static function stored(mixed $value): ?string
    {
        return $value instanceof Numbered ? $value->value : null;
    }
}
