<?php

declare(strict_types=1);

// Work is given to another worker only after the longest that it may take (App\Jobs\RunTask). What is to be done stands in the table of
// tasks; the queue says only that there is something (App\Store\Tasks).
return [
    'connections' => [
        'database' => ['driver' => 'database', 'table' => 'jobs', 'queue' => 'default', 'retry_after' => 1000, 'after_commit' => false],
        'redis' => ['driver' => 'redis', 'connection' => 'default', 'queue' => 'default', 'retry_after' => 1000, 'after_commit' => false],
    ],
];
