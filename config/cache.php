<?php

declare(strict_types=1);

// Limits, locks and what is known for a moment: in files of this host, or (`redis`) where all hosts have them.
return [
    'default' => env('CACHE_STORE', 'file'),
    'prefix' => 'embrel.',
    'stores' => ['redis' => ['driver' => 'redis', 'connection' => 'cache']],
];
