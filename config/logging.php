<?php

declare(strict_types=1);

// Read by their owner alone, and kept for two weeks.
return [
    'default' => 'daily',
    'channels' => [
        'daily' => [
            'driver' => 'daily',
            'path' => storage_path('logs/embrel.log'),
            'level' => env('LOG_LEVEL', 'warning'),
            'days' => 14,
            'permission' => 0o600,
        ],
        // Mail is not sent but written here: bin/start names the file.
        'mailbox' => ['driver' => 'single', 'path' => storage_path('logs/mailbox.log'), 'level' => 'debug', 'permission' => 0o600],
    ],
];
