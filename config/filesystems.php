<?php

declare(strict_types=1);

// Private files leave through the application alone: none has an address of its own.
return [
    'default' => 'local',
    'disks' => ['local' => ['driver' => 'local', 'root' => storage_path('app/private'), 'serve' => false, 'throw' => true]],
];
