<?php

declare(strict_types=1);

namespace Embrel\Check\Text;

/** How long sentences or paragraphs are: how many, the sum of their words, and of the squares of these. */
final readonly class Spread
{
    public function __construct(public int $count = 0, public int $sum = 0, public int $squares = 0) {}

    public function and(self $other): self
    {
        return new self($this->count + $other->count, $this->sum + $other->sum, $this->squares + $other->squares);
    }

    public function mean(): float
    {
        return $this->count === 0 ? 0.0 : $this->sum / $this->count;
    }

    /** The length that only a few go beyond: three standard deviations above the mean. */
    public function far(): float
    {
        return $this->count === 0 ? 0.0 : $this->mean() + 3 * sqrt(max(0.0, $this->squares / $this->count - $this->mean() ** 2));
    }
}
