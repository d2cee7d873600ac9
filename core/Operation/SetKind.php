<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\Kind;

/** What topics print as. */
final readonly class SetKind extends SetField
{
    protected static function field(): string
    {
        return 'kind';
    }

    protected static function stored(mixed $value): ?string
    {
        return $value instanceof Kind ? $value->value : null;
    }
}
