<?php

declare(strict_types=1);

namespace App\Rules;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** A list that is no longer than it may be, and then of what it is to hold: a rule for each item costs far more than the items do. */
final readonly class ListOf implements ValidationRule
{
    /** @param Closure(mixed): bool $fits */
    public function __construct(private int $most, private Closure $fits) {}

    public static function ids(int $most): self
    {
        return new self($most, Id::fits(...));
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        if (!\is_array($value) || !array_is_list($value)) {
            $fail('This is not a list.');
        } elseif (\count($value) > $this->most) {
            $fail('These are more than can be taken at once: ' . number_format($this->most) . '.');
        } elseif (array_filter($value, $this->fits) !== $value) {
            $fail('There is something in this list that cannot be.');
        }
    }
}
