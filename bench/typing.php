<?php

declare(strict_types=1);

// Typing titles, and opening the outline, in a plan of 5,000 topics against one of 50; in a real browser.

require __DIR__ . '/plans.php';
[, $address] = $argv;
$arguments = [];
foreach ([50, 5000] as $topics) {
    [$plan] = planOf($topics, $user, $ids, max(10, intdiv($topics, 50)));
    $arguments[] = escapeshellarg("{$address}/plans/{$plan}");
}
passthru('node ' . escapeshellarg(__DIR__ . '/typing.mjs') . ' ' . implode(' ', $arguments));
