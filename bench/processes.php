<?php

declare(strict_types=1);

// Whole processes, timed in turns.

/** @param array<array-key, string> $commands @return array<array-key, float> the median of each in milliseconds */
function medians(array $commands, int $rounds): array
{
    $times = [];
    for ($i = 0; $i < $rounds; ++$i) {
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

/** @return string the command by which a PHP process writes the parts that a file has, packed anew: the floor of what makes it */
function writing(string $folder, string $file): string
{
    $parts = [];
    $zip = new ZipArchive();
    if ($zip->open($file) === true) {
        for ($i = 0; $i < $zip->numFiles; ++$i) {
            $parts[$zip->getNameIndex($i)] = $zip->getFromIndex($i);
        }
    } else {
        $parts = ['' => file_get_contents($file)];
    }
    $name = basename($file);
    file_put_contents("{$folder}/{$name}.parts", serialize($parts));
    file_put_contents(
        "{$folder}/write.php",
        '<?php
$parts = unserialize(file_get_contents($argv[1])); $out = $argv[2];
if (count($parts) === 1) { $f = fopen($out, "w"); foreach (str_split($parts[""], 8192) as $s) { fwrite($f, $s); } fclose($f); exit; }
$z = new ZipArchive(); $z->open($out, ZipArchive::CREATE | ZipArchive::OVERWRITE);
foreach ($parts as $name => $bytes) {
    if (strlen($bytes) <= 65536) { $z->addFromString($name, $bytes); continue; }
    $part = "$out." . crc32($name);
    $x = new XMLWriter(); $x->openUri($part); foreach (str_split($bytes, 8192) as $s) { $x->writeRaw($s); } $x->flush(); unset($x);
    $z->addFile($part, $name);
}
$z->close();',
    );

    return "php {$folder}/write.php {$folder}/{$name}.parts {$folder}/floor.{$name}";
}
