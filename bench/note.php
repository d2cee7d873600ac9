<?php

declare(strict_types=1);

// Typing in a note of 20,000 words against an empty one, and what saving it sends; in a real browser.

use App\Models\User;
use App\Store\PlanStore;
use Embrel\Plan\Plan;
use Embrel\RichText\Node;
use Embrel\RichText\Note;

require __DIR__ . '/plans.php';
[, $address] = $argv;
[$id] = planOf(20, $user, $ids, 10);
$row = App\Models\Plan::query()->findOrFail($id);
$store = app(PlanStore::class);
$plan = $store->load($row);
[$empty, $long] = $plan->parts(Plan::ROOT);
$words = explode(
    ' ',
    'tide marsh wall creek mud silt samphire oyster parish sluice redshank thrift gauge surge breach bank barge spring neap',
);
$blocks = [];
for ($i = 0; $i < 250; ++$i) {
    $blocks[] = Node::plain(
        implode(' ', array_map(static fn(int $w): string => $words[($i * 7 + $w * 3) % 19], range(1, 80))),
        $ids->next(),
    );
}
$user = User::query()->findOrFail($row->owner_id);
foreach ([[$empty, 'Empty note', []], [$long, 'Long note', $blocks]] as [$topic, $title, $put]) {
    $store->apply($row, $user, [
        $store->change(new Embrel\Operation\Retitle($topic, $title)),
        ...$put === [] ? [] : [$store->change(new Embrel\Operation\EditNote($topic, $put))],
    ]);
}
passthru('node ' . escapeshellarg(__DIR__ . '/note.mjs') . ' ' . escapeshellarg("{$address}/plans/{$id}") . " 'Empty note' 'Long note'");
