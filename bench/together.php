<?php

declare(strict_types=1);

// Fifty people who write in one plan of 1,000 topics at once, and in ten plans of five: a saved change against that of one person
// alone, at the same pace. A thousand pages on the stream. A plan with 500 comments against one without.

use App\Access\Role;
use App\Models\Plan;
use App\Models\Share;
use App\Models\User;
use App\Store\Comments;
use App\Store\PlanStore;
use App\Stream\Seal;

require __DIR__ . '/plans.php';
[, $address] = $argv;
$seconds = (string) (getenv('EMBREL_BENCH_SECONDS') ?: 120);
$store = app(PlanStore::class);
$people = [];
for ($i = 0; $i < 50; ++$i) {
    $people[] = User::query()->create(['name' => "Person {$i}", 'email' => "person-{$i}@bench.example", 'password' => 'a long secret']);
}

/** @return array{id: string, topics: list<string>, people: list<string>} */
$shared = static function (int $topics, array $people) use ($user, $ids, $store): array {
    [$id] = planOf($topics, $user, $ids);
    foreach ($people as $person) {
        Share::query()->create(['plan_id' => $id, 'user_id' => $person->id, 'role' => Role::Writes]);
    }

    return [
        'id' => $id,
        'topics' => $store->load(Plan::query()->findOrFail($id))->standing(),
        'people' => array_map(static fn(User $one): string => $one->email, $people),
    ];
};

$plans = [
    'one' => [$shared(1000, [$people[0]])],
    'all' => [$shared(1000, $people)],
    'ten' => array_map(static fn(array $five): array => $shared(1000, $five), array_chunk($people, 5)),
];
file_put_contents($file = tempnam(sys_get_temp_dir(), 'embrel-bench'), json_encode($plans));
passthru('node ' . implode(' ', array_map(escapeshellarg(...), [__DIR__ . '/together.mjs', $address, $file, $seconds])));
unlink($file);

if (config('embrel.stream_url') !== '') {
    $plan = Plan::query()->findOrFail($plans['all'][0]['id']);
    $given = [Seal::address($people[0], $plan), (string) getenv('EMBREL_STREAM_PID'), $address, $plan->id, $people[1]->email, $plans['all'][0]['topics'][5]];
    passthru('node ' . implode(' ', array_map(escapeshellarg(...), [__DIR__ . '/stream.mjs', ...$given])));
}

// Opening a plan with much that is said: the page, and what is said.
[$plain] = [$shared(1000, [])];
[$talked] = [$shared(1000, [])];
$row = Plan::query()->findOrFail($talked['id']);
foreach (range(0, 499) as $i) {
    Comments::say($row, $user, $ids->next(), $talked['topics'][$i], "What of this, then? {$i}");
}
$kernel = app(Illuminate\Contracts\Http\Kernel::class);
$opened = static function (string $id) use ($kernel, $user): float {
    $start = hrtime(true);
    foreach (["/plans/{$id}", "/plans/{$id}/comments?since=0"] as $path) {
        $request = Illuminate\Http\Request::create(config('app.url') . $path, server: ['HTTP_ACCEPT' => 'application/json, text/html']);
        Auth::setUser($user);
        $kernel->handle($request)->getStatusCode() === 200 || throw new RuntimeException("{$path} was refused.");
    }

    return (hrtime(true) - $start) / 1e6;
};
$times = ['plain' => [], 'talked' => []];
for ($i = 0; $i < 12; ++$i) {
    $times['plain'][] = $opened($plain['id']);
    $times['talked'][] = $opened($talked['id']);
}
[$plain, $talked] = array_map(static function (array $all): float {
    $all = array_slice($all, 2);
    sort($all);

    return $all[intdiv(count($all), 2)];
}, [$times['plain'], $times['talked']]);
printf("opening a plan with 500 comments: %.2f times one without (%.0f ms against %.0f ms)\n", $talked / $plain, $talked, $plain);
