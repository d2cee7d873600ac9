<?php

declare(strict_types=1);

namespace Embrel\Id;

final class InvalidId extends \InvalidArgumentException
{
    public static function because(string $id): self
    {
        return new self('Not an id: expected 26 characters of a ULID, got “' . mb_strimwidth(mb_scrub($id), 0, 40, '…') . '”.');
    }
}
