<?php

declare(strict_types=1);

// One operation as a whole request, against a bare JSON route with one query on the same server.

use App\Access\Role;
use App\Models\Share;
use App\Models\User;
use App\Store\PlanStore;
use Embrel\Plan\Plan;

require __DIR__ . '/plans.php';
[, $address] = $argv;
const ROUNDS = 40;

function request(string $method, string $url, ?array $body = null, int $person = 1): array
{
    static $curl = null;
    $curl ??= curl_init();
    curl_setopt_array($curl, [
        // As a page does: it is in one session.
        CURLOPT_COOKIEFILE => '',
        CURLOPT_URL => $url,
        CURLOPT_CUSTOMREQUEST => $method,
        CURLOPT_RETURNTRANSFER => true,
        CURLOPT_POSTFIELDS => $body === null ? '' : json_encode($body),
        CURLOPT_HTTPHEADER => ['Content-Type: application/json', 'Accept: application/json', "X-Person: {$person}"],
    ]);
    $start = hrtime(true);
    $answer = curl_exec($curl);
    $time = (hrtime(true) - $start) / 1e6;
    if (!in_array(curl_getinfo($curl, CURLINFO_RESPONSE_CODE), [200, 204], true)) {
        fwrite(STDERR, substr((string) $answer, 0, 500) . "\n");
        exit(1);
    }

    return [$time, json_decode((string) $answer, true), strlen((string) $answer)];
}

function median(array $times): float
{
    sort($times);

    return $times[intdiv(count($times), 2)];
}

[$moving, $branch] = planOf(5000, $user, $ids, 500);
$moved = app(PlanStore::class)->load(App\Models\Plan::query()->findOrFail($moving));
$ends = [$moved->parts(Plan::ROOT)[0], $moved->parts(Plan::ROOT)[8]];
$single = $moved->parts($moved->parts(Plan::ROOT)[2])[3];
$movingBase = 1;
$plans = ['500' => planOf(500, $user, $ids), '5000' => planOf(5000, $user, $ids)];
$other = User::query()->firstOrCreate(['email' => 'other@example.org'], ['name' => 'Other', 'password' => 'a long secret']);
Share::query()->create(['plan_id' => $plans['5000'][0], 'user_id' => $other->id, 'role' => Role::Reads]);
$base = ['500' => 1, '5000' => 1];
$bytes = [];
$times = [];
for ($i = 0; $i < ROUNDS + 5; ++$i) {
    $round = ['floor' => request('GET', "{$address}/bench/floor")[0]];
    foreach ($plans as $size => [$plan, $topic]) {
        foreach (
            [
                'retitle' => ['type' => 'retitle', 'topic' => $topic, 'title' => "Round {$i}"],
                'add' => [
                    'type' => 'add',
                    'at' => ['parent' => Plan::ROOT, 'after' => $topic],
                    'topics' => [['id' => $ids->next(), 'title' => "Added {$i}"]],
                ],
            ] as $name => $operation
        ) {
            [$round["{$name} {$size}"], $answer] = request('POST', "{$address}/plans/{$plan}/operations", [
                'base' => $base[$size],
                'operations' => [['id' => $ids->next(), 'step' => $ids->next()] + $operation],
            ]);
            $base[$size] = $answer['revision'];
            if ((string) $size === '5000') {
                // What another page is told, that is this one change behind.
                [$round["news of {$name}"], , $bytes[$name]] = request(
                    'GET',
                    "{$address}/plans/{$plan}/changes?since=" . ($base[$size] - 1),
                    person: $other->id,
                );
            }
        }
    }
    foreach (['branch of 500' => $branch, 'one topic' => $single] as $name => $id) {
        [$round["moving {$name}"], $answer] = request('POST', "{$address}/plans/{$moving}/operations", [
            'base' => $movingBase,
            'operations' => [
                [
                    'id' => $ids->next(),
                    'step' => $ids->next(),
                    'type' => 'move',
                    'ids' => [$id],
                    'at' => ['parent' => $ends[$i % 2], 'after' => null],
                ],
            ],
        ]);
        $movingBase = $answer['revision'];
    }
    $round['idle poll'] = request(
        'GET',
        $address
            . App\Http\Controllers\PulseController::address($user, App\Models\Plan::query()->findOrFail($moving))
            . "&since={$movingBase}",
    )[0];
    // The first rounds fill the caches.
    foreach ($i < 5 ? [] : $round as $name => $time) {
        $times[$name][] = $time;
    }
}
$floor = median($times['floor']);
printf("floor: a JSON route with one query, median %.1f ms\n", $floor);
foreach (['retitle', 'add'] as $name) {
    foreach (['500', '5000'] as $size) {
        printf(
            "%s in a plan of %s topics: %.2f times the floor (%.1f ms)\n",
            $name,
            $size,
            median($times["{$name} {$size}"]) / $floor,
            median($times["{$name} {$size}"]),
        );
    }
    printf("%s, 5,000 topics against 500: %.2f times\n", $name, median($times["{$name} 5000"]) / median($times["{$name} 500"]));
}

printf(
    "moving a branch of 500 topics: %.2f times moving one topic (%.1f ms against %.1f ms)\n",
    median($times['moving branch of 500']) / median($times['moving one topic']),
    median($times['moving branch of 500']),
    median($times['moving one topic']),
);
foreach ($bytes as $name => $size) {
    printf(
        "what others are told of one %s in 5,000 topics: %.2f times the floor (%.1f ms), %s bytes\n",
        $name,
        median($times["news of {$name}"]) / $floor,
        median($times["news of {$name}"]),
        number_format($size),
    );
}
printf("one idle poll: %.2f times the floor (%.1f ms)\n", median($times['idle poll']) / $floor, median($times['idle poll']));

// Where the time goes: the parts of one operation, in this process.
$row = App\Models\Plan::query()->find($plans['5000'][0]);
$parts = [];
$time = static function (string $name, Closure $work) use (&$parts): mixed {
    $start = hrtime(true);
    $result = $work();
    $parts[$name] = (hrtime(true) - $start) / 1e6;

    return $result;
};
for ($i = 0; $i < 3; ++$i) {
    $rows = new App\Store\PlanRows();
    $plan = $time('load the tree', static fn() => $rows->tree($row));
    $after = $time('apply', static fn() => (new Embrel\Operation\Retitle($plans['5000'][1], 'x'))->apply($plan));
    $time(
        'compare before and after, write rows',
        static fn() => (new App\Store\PlanWriter($rows))->write($row, $plan, $after, $row->revision),
    );
    $sight = App\Store\Sight::of($plan);
    $numbering = $time('numbering', static fn() => Embrel\Numbering\Numbering::of($after));
    $totals = $time('words', static fn() => Embrel\Plan\WordTotals::of($after));
    $time('answer', static fn() => App\Store\PlanView::since($row, $sight->after($after), $sight));
}
foreach ($parts as $name => $milliseconds) {
    printf("  %-38s %6.2f ms\n", $name, $milliseconds);
}
