<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\Spot;

/** Where loose ideas stand on the ground of the map; null: in the tray. */
final readonly class SetSpot extends SetField
{
    protected static function field(): string
    {
        return 'spot';
    }

    protected static function stored(mixed $value): ?string
    {
        return $value instanceof Spot ? $value->value() : null;
    }
}
