<?php

declare(strict_types=1);

namespace App\Rules;

use App\Http\Given;
use Illuminate\Http\Request;

/** E-mail addresses in the one spelling in which they are kept, compared and counted. */
final class Address
{
    public const RULES = ['required', 'string', 'max:190', 'email'];

    public static function spelt(string $typed): string
    {
        $typed = trim($typed);

        return mb_strtolower(\Normalizer::normalize($typed, \Normalizer::FORM_C) ?: $typed);
    }

    /** Before it is looked at: what a form gives as `email`. */
    public static function in(Request $request): void
    {
        $request->merge(['email' => self::spelt(Given::text($request, 'email'))]);
    }
}
