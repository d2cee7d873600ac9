<?php

declare(strict_types=1);

// 100,000 plans in one database: what a plan takes, and whether a change, a page and the list of plans cost what they cost among a few.
// In a database of its own, which goes again; not part of bench/run: it takes some minutes and some gigabytes. usage: php
// bench/plans-many.php [100000]

use App\Models\Plan;
use App\Models\User;
use App\Store\PlanStore;
use Embrel\Operation\Codec;
use Embrel\Operation\Retitle;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

$count = (int) ($argv[1] ?? 100_000);
$many = 'embrel_many';
$server = new PDO(
    'mysql:host=' . getenv('DB_HOST') . ';port=' . getenv('DB_PORT'),
    (string) getenv('DB_USERNAME'),
    (string) getenv('DB_PASSWORD'),
);
$server->exec("DROP DATABASE IF EXISTS {$many}");
$server->exec("CREATE DATABASE {$many} CHARACTER SET utf8mb4 COLLATE utf8mb4_unicode_ci");
putenv("DB_DATABASE={$many}");
$_ENV['DB_DATABASE'] = $_SERVER['DB_DATABASE'] = $many;
register_shutdown_function(static fn() => $server->exec("DROP DATABASE IF EXISTS {$many}"));
require __DIR__ . '/../vendor/autoload.php';
(require __DIR__ . '/../bootstrap/app.php')->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();
Artisan::call('migrate', ['--force' => true]);
require __DIR__ . '/plans.php';

$store = app(PlanStore::class);
/** @return float the median of what something takes, in ms */
$median = static function (Closure $act, int $times = 60): float {
    $took = [];
    for ($i = 0; $i < $times; ++$i) {
        $began = hrtime(true);
        $act($i);
        $took[] = (hrtime(true) - $began) / 1e6;
    }
    sort($took);

    return $took[intdiv($times, 2)];
};
// A plan of 40 topics that was worked on: 60 changes, some of them notes.
[$first] = planOf(40, $user, $ids, 8);
$row = Plan::query()->findOrFail($first);
$topics = $store->load($row)->standing();
$note = static fn(int $i): array => [
    'type' => 'note',
    'topic' => $topics[$i % 40],
    'put' => [
        [
            'type' => 'paragraph',
            'attrs' => ['id' => $ids->next()],
            'content' => [['type' => 'text', 'text' => str_repeat('The wall stands, and the tide comes. ', 8)]],
        ],
    ],
    'remove' => [],
];
for ($i = 0; $i < 60; ++$i) {
    $operation = $i % 4 === 0
        ? Codec::decode($note($i))
        : new Retitle($topics[$i % 40], "A title that was written {$i}");
    $store->insist($row->refresh(), $user, $store->change($operation));
}
$change = static function (string $plan) use ($store, $user): Closure {
    return static function (int $i) use ($store, $user, $plan): void {
        $row = Plan::query()->findOrFail($plan);
        $topic = $store->load($row)->standing()[$i % 40];
        $store->insist($row, $user, $store->change(new Retitle($topic, "Another title {$i}")));
    };
};
$load = static fn(string $plan): Closure => static fn() => $store->load(Plan::query()->findOrFail($plan), true);
$few = ['change' => $median($change($first)), 'load' => $median($load($first))];

// Copies of it by the database: 100 owners have 200 plans each, the rest one for every thousand.
DB::statement('SET unique_checks = 0, foreign_key_checks = 0');
$tables = ['topics', 'notes', 'operations', 'operation_things', 'snapshots'];
$began = microtime(true);
$columns = static fn(string $table): array => array_column(DB::select("SHOW COLUMNS FROM {$table} WHERE Extra NOT LIKE '%GENERATED%'"), 'Field');
$owners = [];
for ($i = 0; $i < 200; ++$i) {
    $owners[] = User::query()->create(['name' => "Owner {$i}", 'email' => "owner-{$i}@bench.example", 'password' => 'x'])->id;
}
$last = $first;
for ($made = 1; $made < $count; $made += \count($new)) {
    $new = [];
    for ($i = 0; $i < min(500, $count - $made); ++$i) {
        $new[] = ['id' => $ids->next(), 'owner' => $owners[($made + $i) % 200]];
    }
    $values = implode(', ', array_map(static fn(array $one): string => "('{$one['id']}', {$one['owner']})", $new));
    DB::statement('CREATE TEMPORARY TABLE made (id CHAR(26) CHARACTER SET ascii COLLATE ascii_bin PRIMARY KEY, owner BIGINT)');
    DB::statement("INSERT INTO made VALUES {$values}");
    DB::transaction(static function () use ($tables, $columns, $first): void {
        $of = array_diff($columns('plans'), ['id', 'owner_id']);
        $named = implode(', ', array_map(static fn(string $name): string => "`{$name}`", $of));
        $one = "(SELECT {$named} FROM plans WHERE id = ?) AS p";
        DB::statement("INSERT INTO plans (id, owner_id, {$named}) SELECT made.id, made.owner, {$named} FROM {$one}, made", [$first]);
        foreach ($tables as $table) {
            $named = implode(', ', array_map(static fn(string $name): string => "`{$name}`", array_diff($columns($table), ['plan_id'])));
            $rows = "(SELECT {$named} FROM {$table} WHERE plan_id = ?) AS t";
            DB::statement("INSERT INTO {$table} (plan_id, {$named}) SELECT made.id, t.* FROM made, {$rows}", [$first]);
        }
    });
    DB::statement('DROP TEMPORARY TABLE made');
    $last = $new[array_key_last($new)]['id'];
    if ($made % 10_000 < 500) {
        fwrite(STDERR, \sprintf("%d plans, %.0f s\n", $made, microtime(true) - $began));
    }
}
DB::statement('SET unique_checks = 1, foreign_key_checks = 1');
DB::statement('ANALYZE TABLE plans, ' . implode(', ', $tables));
$bytes = $rows = 0;
$sizes = DB::table('information_schema.tables')->where('table_schema', $many);
foreach ($sizes->get(['table_name AS named', 'table_rows AS n', DB::raw('data_length + index_length AS bytes')]) as $one) {
    if (\in_array($one->named, ['plans', ...$tables], true)) {
        printf("%-18s %5.1f rows and %6.1f KB a plan\n", $one->named, $one->n / $count, $one->bytes / $count / 1024);
        $bytes += $one->bytes;
        $rows += $one->n;
    }
}
printf("a plan of 40 topics with 60 changes: %.0f rows, %.0f KB; %d plans: %.1f GB\n", $rows / $count, $bytes / $count / 1024, $count, $bytes / 1024 ** 3);
$middle = (string) DB::table('plans')->orderBy('id')->offset(intdiv($count, 2))->limit(1)->value('id');
$among = ['change' => $median($change($middle)), 'load' => $median($load($middle))];
foreach (['change' => 'a saved change', 'load' => 'reading a plan with its notes'] as $what => $says) {
    printf("%s: %.2f times the same in a database of one plan (%.1f ms against %.1f ms)\n", $says, $among[$what] / $few[$what], $among[$what], $few[$what]);
}
// One after the other, each in another plan, as a primary meets them.
$plans = DB::table('plans')->orderByRaw('RAND()')->limit(600)->pluck('id')->all();
$began = microtime(true);
foreach ($plans as $i => $plan) {
    $change($plan)($i);
}
printf("changes in other plans each time: %.0f a second from one process\n", \count($plans) / (microtime(true) - $began));
