<?php

declare(strict_types=1);

return [
    'default' => 'single',
    'channels' => [
        'single' => ['driver' => 'single', 'path' => storage_path('logs/embrel.log'), 'level' => env('LOG_LEVEL', 'warning')],
        // Mail is not sent but written here: bin/start names the file.
        'mailbox' => ['driver' => 'single', 'path' => storage_path('logs/mailbox.log'), 'level' => 'debug'],
    ],
];
