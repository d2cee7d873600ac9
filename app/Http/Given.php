<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\User;
use Illuminate\Http\Request;

/** What a request gives, read before or without validation: anything may come, a list for a text too. */
final class Given
{
    /** The text under a name; '' where there is none, or something else. */
    public static function text(Request $request, string $name): string
    {
        $value = $request->input($name);

        return \is_string($value) ? $value : '';
    }

    /** Who asks; whoever has not signed in is sent to do so. */
    public static function person(Request $request): User
    {
        return $request->user() ?? abort(401);
    }

    /** What was typed into a field before the form was refused. */
    public static function before(string $name, ?string $else = ''): ?string
    {
        $value = old($name, $else);

        return \is_string($value) ? $value : $else;
    }
}
