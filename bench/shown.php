<?php

declare(strict_types=1);

// What is shown and sent: slides of 1,000 steps against writing the same bytes, a picture of a map of 1,000 topics against
// its SVG and the packing of its pixels; in a browser the page that stands alone against Outline, and the motion of Present.

require __DIR__ . '/plans.php';
[, $address] = $argv;
const TURNS = 5;
$folder = sys_get_temp_dir() . '/embrel-shown-' . getmypid();
mkdir($folder);
$embrel = escapeshellarg(__DIR__ . '/../bin/embrel');

/** @param array<string, string> $commands @return array<string, float> the median of each in milliseconds, taken in turns */
function turns(array $commands): array
{
    $times = [];
    for ($i = 0; $i < TURNS; ++$i) {
        foreach ($commands as $name => $command) {
            $start = hrtime(true);
            shell_exec("{$command} > /dev/null 2>&1");
            $times[$name][] = (hrtime(true) - $start) / 1e6;
        }
    }

    return array_map(static function (array $all): float {
        sort($all);

        return $all[intdiv(count($all), 2)];
    }, $times);
}

$lines = '';
for ($i = 0; $i < 1000; ++$i) {
    $lines .= str_repeat("\t", $i % 20 === 0 ? 0 : ($i % 5 === 0 ? 1 : 2)) . "Topic number {$i} of this plan\n";
}
file_put_contents("{$folder}/in.txt", $lines);
file_put_contents(
    "{$folder}/write.php",
    '<?php $parts = unserialize(file_get_contents($argv[1])); $z = new ZipArchive(); $z->open($argv[2], ZipArchive::CREATE | ZipArchive::OVERWRITE);'
        . ' foreach ($parts as $name => $bytes) { $z->addFromString($name, $bytes); } $z->close();',
);
$commands = [];
foreach (['pptx', 'odp'] as $format) {
    shell_exec("php {$embrel} convert {$folder}/in.txt {$folder}/out.{$format} --levels=9");
    $zip = new ZipArchive();
    $zip->open("{$folder}/out.{$format}");
    $parts = [];
    for ($i = 0; $i < $zip->numFiles; ++$i) {
        $parts[$zip->getNameIndex($i)] = $zip->getFromIndex($i);
    }
    file_put_contents("{$folder}/parts.{$format}", serialize($parts));
    $commands["{$format} floor"] = "php {$folder}/write.php {$folder}/parts.{$format} {$folder}/floor.{$format}";
    $commands[$format] = "php {$embrel} convert {$folder}/in.txt {$folder}/again.{$format} --levels=9";
}
shell_exec("php {$embrel} convert {$folder}/in.txt {$folder}/map.png --scale=1");
file_put_contents("{$folder}/pack.php", '<?php $i = imagecreatefrompng($argv[1]); imagesavealpha($i, true); imagepng($i, $argv[2], 6);');
$commands['svg'] = "php {$embrel} convert {$folder}/in.txt {$folder}/map.svg";
$commands['pack'] = "php {$folder}/pack.php {$folder}/map.png {$folder}/packed.png";
$commands['png'] = "php {$embrel} convert {$folder}/in.txt {$folder}/map.png --scale=1";
$times = turns($commands);
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
