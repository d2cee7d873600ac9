<?php

declare(strict_types=1);

// Private files leave through the application alone: none has an address of its own. Each kind of bytes has a disk of its
// name, so that each can be kept elsewhere.
$private = static fn(string $folder): array => [
    'driver' => 'local',
    'root' => storage_path("app/private/{$folder}"),
    'serve' => false,
    'throw' => true,
    'permissions' => ['file' => ['private' => 0o600], 'dir' => ['private' => 0o700]],
    'visibility' => 'private',
    'directory_visibility' => 'private',
];

return [
    'default' => 'local',
    'disks' => [
        'local' => $private(''),
        // By plan, and by their content.
        'pictures' => $private('pictures'),
        'attachments' => $private('attachments'),
        'templates' => $private('templates'),
        // What came of long work, until it is fetched; files that came up and wait to be taken in, by person.
        'results' => $private('tasks'),
        'waiting' => $private('waiting'),
        'sent' => $private('sent'),
    ],
];
