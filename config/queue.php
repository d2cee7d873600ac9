<?php

declare(strict_types=1);

// Work is given to another worker only after the longest that it may take (App\Jobs\RunTask).
return [
    'connections' => [
        'database' => ['driver' => 'database', 'table' => 'jobs', 'queue' => 'default', 'retry_after' => 1000, 'after_commit' => false],
    ],
];
