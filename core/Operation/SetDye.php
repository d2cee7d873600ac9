<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\Dye;

/** The colour of topics and of what is under them; null: as above. */
final readonly class SetDye extends SetField
{
    protected static function field(): string
    {
        return 'dye';
    }

    protected static function stored(mixed $value): ?string
    {
        return $value instanceof Dye ? $value->stored() : null;
    }
}
