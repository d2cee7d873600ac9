<?php

declare(strict_types=1);

return [
    'default' => env('MAIL_MAILER', 'log'),
    'mailers' => [
        'log' => ['transport' => 'log', 'channel' => 'mailbox'],
        'array' => ['transport' => 'array'],
        'smtp' => [
            'transport' => 'smtp',
            'scheme' => env('MAIL_SCHEME'),
            'host' => env('MAIL_HOST', '127.0.0.1'),
            'port' => env('MAIL_PORT', 25),
            'username' => env('MAIL_USERNAME'),
            'password' => App\Hosts\Secret::of('MAIL_PASSWORD') ?: null,
            'timeout' => 20,
        ],
    ],
    'from' => ['address' => env('MAIL_FROM_ADDRESS', 'embrel@example.org'), 'name' => 'Embrel'],
];
