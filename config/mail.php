<?php

declare(strict_types=1);

return [
    'default' => env('MAIL_MAILER', 'log'),
    'mailers' => ['log' => ['transport' => 'log', 'channel' => 'mailbox']],
    'from' => ['address' => 'embrel@example.org', 'name' => 'Embrel'],
];
