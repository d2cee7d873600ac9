<?php

declare(strict_types=1);

// Read by their owner alone, and kept for two weeks.
return [
    'default' => env('LOG_CHANNEL', 'daily'),
    'channels' => [
        'daily' => [
            'driver' => 'daily',
            'path' => storage_path('logs/embrel.log'),
            'level' => env('LOG_LEVEL', 'warning'),
            'days' => 14,
            'permission' => 0o600,
        ],
        // A line of JSON each, to where the host collects what its services say: with the id of the request, and nothing of what anybody
        // wrote.
        'json' => [
            'driver' => 'monolog',
            'handler' => Monolog\Handler\StreamHandler::class,
            'handler_with' => ['stream' => 'php://stderr'],
            'formatter' => Monolog\Formatter\JsonFormatter::class,
            'level' => env('LOG_LEVEL', 'warning'),
        ],
        // Mail is not sent but written here: bin/start names the file.
        'mailbox' => ['driver' => 'single', 'path' => storage_path('logs/mailbox.log'), 'level' => 'debug', 'permission' => 0o600],
    ],
];
