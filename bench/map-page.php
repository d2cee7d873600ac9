<?php

declare(strict_types=1);

// The map in a real browser: the frame rate of zoom and pan, and a change from request to drawn.

require __DIR__ . '/plans.php';
[, $address] = $argv;
$arguments = [];
foreach ([1000, 5000] as $topics) {
    [$plan] = planOf($topics, $user, $ids, max(10, intdiv($topics, 50)));
    $arguments[] = escapeshellarg("{$address}/plans/{$plan}");
}
passthru('node ' . escapeshellarg(__DIR__ . '/map-page.mjs') . ' ' . implode(' ', $arguments) . ' ' . escapeshellarg($address));
