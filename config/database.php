<?php

declare(strict_types=1);

use App\Hosts\Secret;

// Copies of the database that may answer what is allowed to be a moment old: their addresses, with commas between them; each with a port
// where that is another (App\Hosts\Replica).
$replicas = array_map(static function (string $address): array {
    [$host, $port] = explode(':', "{$address}:" . env('DB_PORT', '33306'));

    return ['host' => $host, 'port' => $port];
}, array_values(array_filter(array_map(trim(...), explode(',', (string) env('DB_REPLICAS', ''))))));

return [
    'default' => 'mariadb',
    'connections' => [
        'mariadb' => [
            'driver' => 'mariadb',
            'host' => env('DB_HOST', '127.0.0.1'),
            'port' => env('DB_PORT', '33306'),
            'database' => env('DB_DATABASE', 'embrel'),
            'username' => env('DB_USERNAME', 'embrel'),
            'password' => Secret::of('DB_PASSWORD'),
            'charset' => 'utf8mb4',
            'collation' => 'utf8mb4_unicode_ci',
            'strict' => true,
            'engine' => 'InnoDB',
            'timezone' => '+00:00',
            'options' => [PDO::ATTR_EMULATE_PREPARES => true, PDO::ATTR_STRINGIFY_FETCHES => false, PDO::ATTR_TIMEOUT => 3],
        ] + ($replicas === [] ? [] : ['read' => $replicas, 'write' => [], 'sticky' => true]),
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => true],
    // Sessions, what is counted and kept for a while, locks, the queue and word of changes, where several hosts share them.
    'redis' => [
        'client' => 'predis',
        'options' => ['prefix' => env('REDIS_PREFIX', 'embrel.')],
        ...array_fill_keys(['default', 'cache'], [
            'host' => env('REDIS_HOST', '127.0.0.1'),
            'port' => env('REDIS_PORT', '6379'),
            'username' => env('REDIS_USERNAME'),
            'password' => Secret::of('REDIS_PASSWORD') ?: null,
            'database' => env('REDIS_DB', '0'),
            'timeout' => 2.0,
            'read_write_timeout' => 5.0,
        ]),
    ],
];
