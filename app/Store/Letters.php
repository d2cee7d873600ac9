<?php

declare(strict_types=1);

namespace App\Store;

/** When a person is written to. */
enum Letters: string
{
    case AtOnce = 'at-once';
    case Daily = 'daily';
    case None = 'none';

    public function label(): string
    {
        return match ($this) {
            self::AtOnce => 'a letter at once',
            self::Daily => 'one letter a day',
            self::None => 'no letter',
        };
    }
}
