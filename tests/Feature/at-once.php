<?php

declare(strict_types=1);

// One of several at work at once, each in a process of its own: reads from its input what it is to do, and waits until all
// are there. `{kind, folder, me, of, …}`, the folder being where they tell each other how far they are: `apply` (user, plan,
// batches of changes), `both` (two plans, locked one after the other).

use App\Models\Plan;
use App\Models\User;
use App\Store\Change;
use App\Store\PlanStore;
use App\Store\Transaction;
use Embrel\Operation\Codec;
use Illuminate\Contracts\Console\Kernel;

require __DIR__ . '/../../vendor/autoload.php';
$app = require __DIR__ . '/../../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
$given = json_decode((string) stream_get_contents(STDIN), true, 512, JSON_THROW_ON_ERROR);
$store = app(PlanStore::class);
$together = static function (string $where) use ($given): void {
    touch("{$given['folder']}/{$where}-{$given['me']}");
    for ($until = time() + 60; count(glob("{$given['folder']}/{$where}-*") ?: []) < $given['of'] && time() < $until;) {
        usleep(500);
    }
};
$together('there');
if ($given['kind'] === 'apply') {
    $refused = 0;
    foreach ($given['batches'] as $batch) {
        $change = static fn(array $one): Change => new Change($one['id'], $one['step'], Codec::decode($one['operation']));
        $plan = Plan::query()->findOrFail($given['plan']);
        $refused += count($store->apply($plan, User::query()->findOrFail($given['user']), array_map($change, $batch))->refused);
    }
    echo json_encode(['refused' => $refused]);
} else {
    $tries = 0;
    Transaction::of(static function () use ($given, $together, &$tries): void {
        ++$tries;
        foreach ($given['plans'] as $i => $plan) {
            Plan::query()->whereKey($plan)->lockForUpdate()->firstOrFail();
            $i === 0 && $together('locked');
        }
        Plan::query()->whereIn('id', $given['plans'])->increment('words');
    });
    echo json_encode(['tries' => $tries]);
}
