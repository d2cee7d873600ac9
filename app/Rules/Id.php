<?php

declare(strict_types=1);

namespace App\Rules;

use Closure;
use Embrel\Id\Ulid;
use Illuminate\Contracts\Validation\ValidationRule;

/** Has the form of an id, of a topic or anything else; whether there is such a one, the store knows. */
final class Id implements ValidationRule
{
    public static function fits(mixed $value): bool
    {
        return \is_string($value) && Ulid::isValid($value);
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        if (!self::fits($value)) {
            $fail('This is not an id.');
        }
    }
}
