<?php

declare(strict_types=1);

/** Maps of plans at random as a page is told of them, with the parent of each topic; usage: php tests/random-maps.php COUNT */

use App\Store\MapView;
use App\Store\Sight;
use Embrel\Layout\Map\Arrangement;
use Embrel\Layout\Map\Look;
use Tests\Core\Build\Trees;

require __DIR__ . '/../vendor/autoload.php';

$maps = [];
for ($seed = 1; $seed <= (int) ($argv[1] ?? 10); ++$seed) {
    $plan = Trees::random($seed, 40);
    $arrangement = Arrangement::cases()[$seed % 3];
    $maps[]
        = ['seed' => $seed, 'arrangement' => $arrangement->value, 'parents' => $plan->parents]
        + MapView::of(Sight::of($plan), new Look($arrangement));
}
echo json_encode($maps, JSON_THROW_ON_ERROR);
