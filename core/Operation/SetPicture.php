<?php

declare(strict_types=1);

namespace Embrel\Operation;

use Embrel\Plan\Picture;

/** The picture on topics; null takes it away. */
final readonly class SetPicture extends SetField
{
    protected static function field(): string
    {
        return 'picture';
    }

    protected static function stored(mixed $value): ?string
    {
        return $value instanceof Picture ? $value->value() : null;
    }
}
