<?php

declare(strict_types=1);

use App\Hosts\Secret;

// Private files leave through the application alone: none has an address of its own. Each kind of bytes has a disk of its
// name: a folder of this host or, where several share them (FILESYSTEM_DISK=s3), what begins with that name in one bucket.
$private = static fn(string $folder): array => match (env('FILESYSTEM_DISK', 'local')) {
    's3' => [
        'driver' => 's3',
        'key' => Secret::of('AWS_ACCESS_KEY_ID'),
        'secret' => Secret::of('AWS_SECRET_ACCESS_KEY'),
        'region' => env('AWS_DEFAULT_REGION', 'us-east-1'),
        'bucket' => env('AWS_BUCKET', 'embrel'),
        'endpoint' => env('AWS_ENDPOINT'),
        'use_path_style_endpoint' => (bool) env('AWS_USE_PATH_STYLE_ENDPOINT', false),
        'root' => $folder,
        'throw' => true,
        'visibility' => 'private',
        'retries' => 3,
        'http' => ['connect_timeout' => 3, 'timeout' => 60],
        'request_checksum_calculation' => 'when_required',
        'response_checksum_validation' => 'when_required',
    ],
    default => [
        'driver' => 'local',
        'root' => storage_path("app/private/{$folder}"),
        'serve' => false,
        'throw' => true,
        'permissions' => ['file' => ['private' => 0o600], 'dir' => ['private' => 0o700]],
        'visibility' => 'private',
        'directory_visibility' => 'private',
    ],
};

return [
    'default' => 'local',
    'disks' => [
        // Of no use but that the framework's own of this name would be served.
        'local' => $private(''),
        // By plan, and by their content.
        'pictures' => $private('pictures'),
        'attachments' => $private('attachments'),
        'templates' => $private('templates'),
        // What came of long work, until it is fetched; files that came up and wait to be taken in, by person.
        'results' => $private('tasks'),
        'waiting' => $private('waiting'),
        'sent' => $private('sent'),
        // Where backups go that are given no folder (embrel:backup).
        'backups' => array_filter(['root' => env('EMBREL_BACKUPS')]) + $private('backups'),
    ],
];
