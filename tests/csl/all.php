<?php

declare(strict_types=1);

// Every independent style of the standard's collection, printed beside the reference processor: each style's share of
// cases that read the same, the worst first, the kinds of differences with why each stays, and the share of all. Takes two
// hours on one core.
// usage: php tests/csl/all.php [--every=N: one style of N] [--show: the differences too]

use Symfony\Component\Process\Process;
use Tests\Core\Build\Differences;
use Tests\Core\Build\Printed;

require __DIR__ . '/../../vendor/autoload.php';

$options = getopt('', ['every:', 'show']);
$directory = sys_get_temp_dir() . '/embrel-csl-' . getmypid();
mkdir($directory);
try {
    $node = new Process(
        ['node', __DIR__ . '/reference.mjs', $directory, isset($options['every']) ? "--every={$options['every']}" : '--all'],
        timeout: null,
    );
    $printed = null;
    $shares = $kinds = [];
    [$cases, $different] = [0, 0];
    $names = explode("\n", trim($node->mustRun()->getOutput()));
    fwrite(STDERR, $node->getErrorOutput());
    foreach ($names as $name) {
        $printed ??= new Printed($directory);
        ['cases' => $of, 'differences' => $differences] = $printed->compared($name);
        $shares[$name] = 100 * (1 - count($differences) / $of);
        $cases += $of;
        $different += count($differences);
        foreach ($differences as $case => [$theirs, $ours]) {
            $kind = Differences::kind($theirs, $ours);
            $kinds[$kind] = ($kinds[$kind] ?? 0) + 1;
            if (isset($options['show'])) {
                echo "{$name}, {$case}: {$kind}\n    reference: {$theirs}\n    ours:      {$ours}\n";
            }
        }
    }
    asort($shares);
    foreach ($shares as $name => $share) {
        printf("%6.2f %% %s\n", $share, $name);
    }
    arsort($kinds);
    foreach ($kinds as $kind => $count) {
        printf("%6d %s: %s\n", $count, $kind, Differences::REASONS[$kind] ?? 'not looked into');
    }
    printf("%6.2f %% of %d cases in %d styles\n", 100 * (1 - $different / $cases), $cases, count($shares));
} finally {
    array_map(unlink(...), glob("{$directory}/*") ?: []);
    rmdir($directory);
}
