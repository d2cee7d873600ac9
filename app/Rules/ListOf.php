<?php

declare(strict_types=1);

namespace App\Rules;

use Closure;
use Illuminate\Contracts\Validation\ValidationRule;

/** A list that is no longer than it may be, and then of what it is to hold: a rule for each item costs far more than the items do. */
final class ListOf implements ValidationRule
{
    /** Also looked at where an empty text stands in its place, which other rules pass over. */
    public bool $implicit = true;

    /**
     * @param Closure(mixed): bool $fits
     * @param bool                 $isOptional null is none
     */
    public function __construct(private readonly int $most, private readonly Closure $fits, private readonly bool $isOptional = false) {}

    public static function ids(int $most, bool $isOptional = false): self
    {
        return new self($most, Id::fits(...), $isOptional);
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        if ($value === null && $this->isOptional) {
            return;
        }
        if (!\is_array($value) || !array_is_list($value)) {
            $fail('This is not a list.');
        } elseif (\count($value) > $this->most) {
            $fail('These are more than can be taken at once: ' . number_format($this->most) . '.');
        } elseif (array_filter($value, $this->fits) !== $value) {
            $fail('There is something in this list that cannot be.');
        }
    }
}
