<?php

declare(strict_types=1);

namespace Embrel\Plan;

use Embrel\Limits;

/** How many words a topic and all under it, or a whole plan, are meant to reach. Always positive. */
final readonly class Target
{
    private function __construct(public int $words) {}

    /** @throws InvalidValue unless between 1 and the limit */
    public static function of(int $words): self
    {
        return $words >= 1 && $words <= Limits::TARGET_WORDS ? new self($words) : throw InvalidValue::target($words);
    }
}
