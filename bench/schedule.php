<?php

declare(strict_types=1);

// The schedule of 1,000 dated topics, until it is drawn, against Outline of the same plan; in a real browser.

use App\Models\User;
use App\Store\PlanStore;
use Embrel\Operation\SetWork;
use Embrel\Plan\Day;

require __DIR__ . '/plans.php';
[, $address] = $argv;
[$id] = planOf(1000, $user, $ids, 50);
$row = App\Models\Plan::query()->findOrFail($id);
$store = app(PlanStore::class);
$topics = $store->load($row)->standing();
$store->apply($row, User::query()->findOrFail($row->owner_id), array_map(
    static fn(string $topic, int $i) => $store->change(
        new SetWork([$topic], ['begins' => Day::after('2026-11-01', $i % 90), 'due' => Day::after('2026-11-04', $i % 90 + $i % 7), 'who' => 'Jo Tern']),
    ),
    $topics,
    array_keys($topics),
));
passthru('node ' . escapeshellarg(__DIR__ . '/schedule.mjs') . ' ' . escapeshellarg("{$address}/plans/{$id}"));
