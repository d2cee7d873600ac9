<?php

declare(strict_types=1);

// What is shown and sent: slides of 1,000 steps against writing the same bytes, a picture of a map of 1,000 topics against
// its SVG and the packing of its pixels; in a browser the page that stands alone against Outline, and the motion of Present.

require __DIR__ . '/plans.php';
require __DIR__ . '/processes.php';
[, $address] = $argv;
const TURNS = 5;
$folder = sys_get_temp_dir() . '/embrel-shown-' . getmypid();
mkdir($folder);
$embrel = escapeshellarg(__DIR__ . '/../bin/embrel');

$lines = '';
for ($i = 0; $i < 1000; ++$i) {
    $lines .= str_repeat("\t", $i % 20 === 0 ? 0 : ($i % 5 === 0 ? 1 : 2)) . "Topic number {$i} of this plan\n";
}
file_put_contents("{$folder}/in.txt", $lines);
$commands = [];
foreach (['pptx', 'odp'] as $format) {
    shell_exec("php {$embrel} convert {$folder}/in.txt {$folder}/out.{$format} --levels=9");
    $commands["{$format} floor"] = writing($folder, "{$folder}/out.{$format}");
    $commands[$format] = "php {$embrel} convert {$folder}/in.txt {$folder}/again.{$format} --levels=9";
}
shell_exec("php {$embrel} convert {$folder}/in.txt {$folder}/map.png --scale=1");
file_put_contents("{$folder}/pack.php", '<?php $i = imagecreatefrompng($argv[1]); imagesavealpha($i, true); imagepng($i, $argv[2], 6);');
$commands['svg'] = "php {$embrel} convert {$folder}/in.txt {$folder}/map.svg";
$commands['pack'] = "php {$folder}/pack.php {$folder}/map.png {$folder}/packed.png";
$commands['png'] = "php {$embrel} convert {$folder}/in.txt {$folder}/map.png --scale=1";
$times = medians($commands, TURNS);
foreach (['pptx', 'odp'] as $format) {
    printf(
        "%s of 1,000 steps: %.2f times writing the same bytes (%.0f ms against %.0f ms)\n",
        $format,
        $times[$format] / $times["{$format} floor"],
        $times[$format],
        $times["{$format} floor"],
    );
}
printf(
    "PNG of 1,000 topics: %.2f times writing its SVG and packing its pixels (%.0f ms against %.0f ms)\n",
    $times['png'] / ($times['svg'] + $times['pack']),
    $times['png'],
    $times['svg'] + $times['pack'],
);
exec('rm -rf ' . escapeshellarg($folder));

[$plan] = planOf(5000, $user, $ids);
passthru('node ' . escapeshellarg(__DIR__ . '/shown.mjs') . ' ' . escapeshellarg($address) . ' ' . escapeshellarg($plan));
