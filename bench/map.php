<?php

declare(strict_types=1);

// Laying out the map, text measuring apart, against d3-flextree in Node on the same tree with the same sizes.

use Embrel\Layout\Map\Arrangement;
use Embrel\Layout\Map\Boxes;
use Embrel\Layout\Map\Geometry;
use Embrel\Layout\Map\Spacing;

require __DIR__ . '/../vendor/autoload.php';
const ROUNDS = 31;

/** A tree of chapters, sections and points, with labels of one to three lines. */
function boxes(int $count): Boxes
{
    mt_srand(11);
    $parents = $widths = $heights = [];
    $open = [];
    for ($i = 0; $i < $count; ++$i) {
        while ($open !== [] && mt_rand(0, 99) < 42) {
            array_pop($open);
        }
        if (mt_rand(0, $count) < 20 || count($open) > 7) {
            $open = [];
        } elseif ($open === [] && $i > 0 && mt_rand(0, 19) > 0) {
            $open = [$last ?? 0];
        }
        $parents[] = $open === [] ? -1 : end($open);
        $widths[] = mt_rand(60, 300) + 0.25;
        $heights[] = 20.0 * mt_rand(1, 3) + 4;
        if ($open === []) {
            $last = $i;
        }
        $open[] = $i;
    }

    return new Boxes($parents, $widths, $heights);
}

function ours(Boxes $boxes, Arrangement $arrangement, int $rounds): float
{
    $times = [];
    for ($i = -3; $i < $rounds; ++$i) {
        $start = hrtime(true);
        Geometry::of($arrangement, $boxes, new Spacing(), [200.0, 26.0]);
        $times[] = (hrtime(true) - $start) / 1e6;
    }

    // The least of the rounds: what else the machine does only adds to it.
    return min(array_slice($times, 3));
}

// A page asks for one layout, in a process that has done nothing else: so each is measured in one of its own.
if (isset($argv[2])) {
    $boxes = boxes((int) $argv[1]);
    ours(boxes(300), Arrangement::from($argv[2]), 5);
    $start = hrtime(true);
    Geometry::of(Arrangement::from($argv[2]), $boxes, new Spacing(), [200.0, 26.0]);
    echo (hrtime(true) - $start) / 1e6;
    exit();
}

function alone(int $count, Arrangement $arrangement): float
{
    $times = array_map(
        static fn(): float => (float) shell_exec('php ' . escapeshellarg(__FILE__) . " {$count} {$arrangement->value}"),
        range(1, 9),
    );
    sort($times);

    return $times[4];
}

$boxes = boxes(5000);
$file = tempnam(sys_get_temp_dir(), 'embrel-bench-');
file_put_contents($file, json_encode(['parents' => $boxes->parents, 'widths' => $boxes->widths, 'heights' => $boxes->heights]));
$floor = (float) shell_exec('node ' . escapeshellarg(__DIR__ . '/flextree.mjs') . ' ' . escapeshellarg($file));
unlink($file);
printf("floor: d3-flextree on 5,000 topics, least %.2f ms\n", $floor);
foreach (Arrangement::cases() as $arrangement) {
    $time = ours($boxes, $arrangement, ROUNDS);
    [$little, $much] = [alone(5000, $arrangement), alone(50000, $arrangement)];
    printf(
        "%s, 5,000 topics: %.2f times the floor (%.2f ms); 50,000 topics: %.1f times 5,000 (%.0f ms against %.1f ms, each in a process of its own)\n",
        $arrangement->value,
        $time / $floor,
        $time,
        $much / $little,
        $much,
        $little,
    );
}
