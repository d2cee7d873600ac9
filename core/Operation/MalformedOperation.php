<?php

declare(strict_types=1);

namespace Embrel\Operation;

/** What was sent is not an operation at all. */
final class MalformedOperation extends \InvalidArgumentException
{
    public static function because(\Throwable $why): self
    {
        return new self('This is not an operation: ' . $why->getMessage(), 0, $why);
    }
}
