<?php

declare(strict_types=1);

// Accounts and plans for the people of people.mjs, told as JSON; or, with `acknowledged FILE`, whether all is kept that they were told is
// kept, once. usage: php people.php make PEOPLE PLANS | php people.php acknowledged FILE [UNTIL, in ms], in the folder of a host

use App\Access\Role;
use App\Models\Share;
use App\Models\User;
use App\Store\NewIds;
use App\Store\PlanPictures;
use App\Store\PlanStore;
use Embrel\Plan\Plan as Tree;
use Embrel\Plan\Topic;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;

require 'vendor/autoload.php';
(require 'bootstrap/app.php')->make(Kernel::class)->bootstrap();
[, $do] = $argv;

if ($do === 'acknowledged') {
    $lost = $doubled = 0;
    $all = json_decode((string) file_get_contents($argv[2]), true, 512, JSON_THROW_ON_ERROR);
    // Up to a moment: what was acknowledged before it has to be there, what came two seconds after it has not.
    $until = isset($argv[3]) ? (int) $argv[3] : PHP_INT_MAX;
    $later = array_column(array_filter($all, static fn(array $one): bool => $one['at'] > $until + 2000), 'id');
    $tooLate = 0;
    foreach (array_chunk($later, 500) as $some) {
        $tooLate += DB::table('operations')->whereIn('op_id', $some)->count();
    }
    $all = array_values(array_filter($all, static fn(array $one): bool => $one['at'] <= $until));
    foreach (array_chunk($all, 500) as $some) {
        $kept = DB::table('operations')->whereIn('op_id', array_column($some, 'id'))->pluck('op_id')->countBy();
        $topics = DB::table('topics')->whereIn(
            'id',
            array_filter(array_column($some, 'adds')),
        )->whereNull('removed_at')->pluck('id')->countBy();
        foreach ($some as $one) {
            $times = min($kept[$one['id']] ?? 0, isset($one['adds']) ? $topics[$one['adds']] ?? 0 : 1);
            $lost += $times === 0 ? 1 : 0;
            $doubled += max($kept[$one['id']] ?? 0, $topics[$one['adds'] ?? ''] ?? 0) > 1 ? 1 : 0;
        }
    }
    // What was written into a title last is what it says.
    $last = array_column(array_filter($all, static fn(array $one): bool => isset($one['title'])), null, 'topic');
    $other = 0;
    foreach (array_chunk($last, 500, true) as $some) {
        $titles = DB::table('topics')->whereIn('id', array_keys($some))->pluck('title', 'id');
        $other += \count(array_filter($some, static fn(array $one): bool => ($titles[$one['topic']] ?? null) !== $one['title']));
    }
    echo json_encode(
        [
            'acknowledged' => \count($all),
            'lost' => $lost,
            'doubled' => $doubled,
            'titles that are others' => $other,
            'later, and there all the same' => $tooLate,
        ],
    ), "\n";
    exit($lost + $doubled + ($until === PHP_INT_MAX ? $other : 0) + $tooLate === 0 ? 0 : 1);
}

[, , $people, $plans] = $argv;
$ids = new NewIds();
$store = app(PlanStore::class);
$accounts = [];
$stamp = bin2hex(random_bytes(3));
for ($i = 0; $i < $people; ++$i) {
    $accounts[] = User::query()->create(
        ['name' => "Person {$i}", 'email' => "person-{$stamp}-{$i}@people.example", 'password' => 'a long secret'],
    );
}
$told = [];
for ($i = 0; $i < $plans; ++$i) {
    $in = array_values(array_filter($accounts, static fn(User $one, int $n): bool => $n % $plans === $i, ARRAY_FILTER_USE_BOTH));
    $topics = $parts = $parents = [];
    for ($n = 0; $n < 60; ++$n) {
        $id = $ids->next();
        $parent = $n < 6 ? Tree::ROOT : $parts[Tree::ROOT][$n % 6];
        $topics[$id] = new Topic($id, "Section {$n} of a plan");
        $parts[$parent][] = $id;
        $parents[$id] = $parent;
    }
    $bare = Tree::titled("Plan {$i}");
    $row = $store->create($in[0], new Tree($topics + $bare->topics, $parts, $parents, $bare->properties));
    // Bytes in the store, one picture each.
    $image = imagecreatetruecolor(40 + $i, 30);
    ob_start();
    imagepng($image);
    (new PlanPictures($row->id))->keep((string) ob_get_clean());
    foreach (\array_slice($in, 1) as $other) {
        Share::query()->create(['plan_id' => $row->id, 'user_id' => $other->id, 'role' => Role::Writes]);
    }
    foreach ($in as $n => $one) {
        // Each has sections of their own, so that what they find at the end is what they wrote.
        $mine = [];
        foreach (array_keys($topics) as $at => $id) {
            $at % \count($in) === $n && $mine[] = (string) $id;
        }
        $told[] = ['email' => $one->email, 'plan' => $row->id, 'topics' => $mine];
    }
}
echo json_encode($told, JSON_THROW_ON_ERROR), "\n";
