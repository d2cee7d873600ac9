<?php

declare(strict_types=1);

// Undo of one's own step among 10,000 later changes of another, against undo of the newest.

use App\Models\User;
use App\Store\PlanStore;
use App\Store\StepBack;
use Embrel\Operation\Retitle;
use Illuminate\Support\Str;

require __DIR__ . '/plans.php';

const OTHERS = 10_000;
const ROUNDS = 15;

[$id] = planOf(500, $user, $ids);
$row = App\Models\Plan::findOrFail($id);
$store = app(PlanStore::class);
$back = app(StepBack::class);
$topics = $store->load($row)->standing();
$other = User::firstOrCreate(['email' => 'other@example.org'], ['name' => 'Other', 'password' => Str::random(30)]);
// One's own steps, each on a topic of its own; then those of the other, among them topics beside these.
for ($i = 0; $i < ROUNDS; ++$i) {
    $store->insist($row, $user, $store->change(new Retitle($topics[$i], "Mine {$i}")));
}
for ($i = 0; $i < OTHERS; $i += 200) {
    $store->apply($row, $other, array_map(
        static fn(int $n) => $store->change(new Retitle($topics[ROUNDS + $n % 400], "Theirs {$n}")),
        range($i, $i + 199),
    ));
}

/** Milliseconds of one undo. */
$undo = static function () use ($back, $row, $user): float {
    $start = hrtime(true);
    $back->undo($row, $user, $row->revision);

    return (hrtime(true) - $start) / 1e6;
};
$deep = $newest = [];
for ($i = 0; $i < ROUNDS; ++$i) {
    $store->insist($row, $user, $store->change(new Retitle($topics[450], "Newest {$i}")));
    $newest[] = $undo();
    // That one is taken back: the next is the newest of those before all that the other has done.
    $deep[] = $undo();
}
sort($newest);
sort($deep);
$middle = intdiv(ROUNDS, 2);
printf(
    "undo among %s later changes of another: %.2f times undo of the newest (%.1f ms against %.1f ms)\n",
    number_format(OTHERS),
    $deep[$middle] / $newest[$middle],
    $deep[$middle],
    $newest[$middle],
);
