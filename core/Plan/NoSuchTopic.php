<?php

declare(strict_types=1);

namespace Embrel\Plan;

final class NoSuchTopic extends \OutOfBoundsException
{
    public static function called(string $id): self
    {
        return new self("There is no topic {$id} in this plan.");
    }
}
