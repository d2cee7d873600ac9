<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;

/** The token of a request, which the page has in its head: no cookie carries it besides, with every answer. */
final class ChecksToken extends ValidateCsrfToken
{
    protected $addHttpCookie = false;

    /** Pressed by mail programs, at an address that is signed. */
    protected $except = ['letters/off/*'];
}
