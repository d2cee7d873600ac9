<?php

declare(strict_types=1);

namespace Embrel;

final class MalformedShape extends \InvalidArgumentException
{
    public static function expected(string $what, string $where): self
    {
        return new self("Expected {$what} at “{$where}”.");
    }
}
