<?php

declare(strict_types=1);

// The text of 1,000 sections with 100,000 words: until it can be typed in, a key in it, and scrolling; in a real browser.

use App\Models\User;
use App\Store\PlanStore;
use Embrel\Operation\EditNote;
use Embrel\RichText\Node;

require __DIR__ . '/plans.php';
[, $address] = $argv;
[$id] = planOf(1000, $user, $ids, 50);
$row = App\Models\Plan::query()->findOrFail($id);
$store = app(PlanStore::class);
$words = explode(' ', 'tide marsh wall creek mud silt samphire oyster parish sluice redshank thrift gauge surge breach bank barge spring neap');
$text = static fn(int $at): string => implode(' ', array_map(static fn(int $w): string => $words[($at * 7 + $w * 3) % 19], range(1, 50)));
$user = User::query()->findOrFail($row->owner_id);
$topics = $store->load($row)->standing();
foreach (array_chunk($topics, 200) as $chunk) {
    $store->apply($row, $user, array_map(
        static fn(string $topic, int $i) => $store->change(
            new EditNote($topic, [Node::plain($text($i), $ids->next()), Node::plain($text($i + 1), $ids->next())]),
        ),
        $chunk,
        array_keys($chunk),
    ));
}
[$empty] = planOf(1, $user, $ids);
passthru('node ' . escapeshellarg(__DIR__ . '/draft.mjs') . ' ' . escapeshellarg("{$address}/plans/{$id}") . ' ' . escapeshellarg("{$address}/plans/{$empty}"));
