<?php

declare(strict_types=1);

// Comparing a draft of 1,000 sections with the plan as it was and as it is, against reading the draft alone.

use Embrel\Archive\Shelf;
use Embrel\Document\Origin;
use Embrel\Draft\Choices;
use Embrel\Draft\DraftChoices;
use Embrel\Id\CountedIds;
use Embrel\Intake\Options;
use Embrel\Intake\WayBack\Comparison;
use Embrel\Operation\Retitle;
use Embrel\Plan\Plan;
use Embrel\Reader\Format as Reading;
use Embrel\Writer\Format as Writing;
use Tests\Core\Build\Build;
use Tests\Core\Build\Reports;

require __DIR__ . '/../vendor/autoload.php';
const ROUNDS = 7;
const BOUND = 3.0;

$work = sys_get_temp_dir() . '/embrel-bench-' . bin2hex(random_bytes(4));
mkdir($work);
$then = Reports::random(1, 1_000);
$now = $then;
foreach (array_slice($then->parts(Plan::ROOT), 0, 50) as $i => $id) {
    $now = (new Retitle($id, "Renamed {$i}"))->apply($now);
}
foreach (['docx', 'odt'] as $format) {
    $out = fopen("{$work}/draft", 'w');
    Writing::from($format)->writer()->write($then, new Choices(
        draft: new DraftChoices(headingDepth: 9, origin: new Origin(Build::ulid(1), 1)),
    ), $out, $work);
    fclose($out);
    $times = ['read' => [], 'compare' => []];
    for ($round = 0; $round < ROUNDS; ++$round) {
        $start = hrtime(true);
        $read = Reading::from($format)->read(
            fopen("{$work}/draft", 'r'),
            new Options('', references: false),
            new CountedIds('07'),
            $work,
            new Shelf($work),
        );
        $times['read'][] = hrtime(true) - $start;
        $start = hrtime(true);
        $comparison = Comparison::of($now, $read->plan, $read->came, $then, $read->typed, $read->origin);
        $times['compare'][] = hrtime(true) - $start;
    }
    $comparison->changes === [] || exit("The draft was not changed, and yet something is said of it.\n");
    array_walk($times, static function (array &$one): void {
        sort($one);
        $one = $one[intdiv(count($one), 2)];
    });
    printf("Comparing three of 1,000 sections, %s: %.2f of reading it (bound %.0f)\n", $format, $times['compare'] / $times['read'], BOUND);
}
exec('rm -rf ' . escapeshellarg($work));
