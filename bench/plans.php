<?php

declare(strict_types=1);

// The application at hand, and made-up plans of any size.

use App\Models\User;
use App\Store\NewIds;
use App\Store\PlanStore;
use Embrel\Intake\Options;
use Embrel\Plan\Plan;
use Embrel\Reader\TextOutline\TextReader;

require __DIR__ . '/../vendor/autoload.php';
$app = require __DIR__ . '/../bootstrap/app.php';
$app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();

$user = User::query()->firstOrCreate(['email' => 'bench@example.org'], ['name' => 'Bench', 'password' => 'a long secret']);
$ids = new NewIds();

/** @return array{string, string} plan and a topic in its middle */
function planOf(int $topics, User $user, NewIds $ids, int $section = 100): array
{
    $lines = '';
    for ($i = 0; $i < $topics; ++$i) {
        $lines .= str_repeat("\t", $i % $section === 0 ? 0 : ($i % 10 === 0 ? 1 : 2)) . "Topic number {$i} of this plan\n";
    }
    $in = fopen('php://temp', 'w+');
    fwrite($in, $lines);
    rewind($in);
    $plan = (new TextReader())->read($in, new Options("{$topics} topics"), $ids)->plan;
    $row = app(PlanStore::class)->create($user, $plan);

    return [$row->id, $plan->parts(Plan::ROOT)[intdiv(count($plan->parts(Plan::ROOT)), 2)]];
}
