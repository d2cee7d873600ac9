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
$store->insist($row, $user, $store->change(new Retitle($topics[0], 'Mine')));

/** Milliseconds of one undo; what it took back is brought back. */
$undo = static function () use ($back, $row, $user): float {
    $times = [];
    for ($i = 0; $i < ROUNDS; ++$i) {
        $start = hrtime(true);
        $back->undo($row, $user, $row->revision);
        $times[] = (hrtime(true) - $start) / 1e6;
        $back->redo($row, $user, $row->revision);
    }
    sort($times);

    return $times[intdiv(ROUNDS, 2)];
};

$newest = $undo();
for ($i = 0; $i < OTHERS; $i += 200) {
    $store->apply($row, $other, array_map(
        static fn(int $n) => $store->change(new Retitle($topics[1 + $n % 400], "Theirs {$n}")),
        range($i, $i + 199),
    ));
}
// Once: what brings it back is the newest again.
$start = hrtime(true);
$back->undo($row, $user, $row->revision);
$deep = (hrtime(true) - $start) / 1e6;
printf(
    "undo among %s later changes of another: %.2f times undo of the newest (%.1f ms against %.1f ms)\n",
    number_format(OTHERS),
    $deep / $newest,
    $deep,
    $newest,
);
