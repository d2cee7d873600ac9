<?php

declare(strict_types=1);

return [
    // Wherever they are kept, the table says who is signed in where (App\Store\Devices).
    'driver' => env('SESSION_DRIVER', 'database'),
    'table' => 'sessions',
    // One that a person wants to stay lasts 30 days from its last use; any other as long as the browser is open, a day at most.
    'lifetime' => 60 * 24 * 30,
    'cookie' => 'embrel_session',
    'http_only' => true,
    'same_site' => 'lax',
    'secure' => env('SESSION_SECURE_COOKIE', false),
];
