<?php

declare(strict_types=1);

// Whole processes: converting 5,000 topics with 200,000 words, against what PHP itself needs for the same bytes.

require __DIR__ . '/processes.php';
const ROUNDS = 9;
$folder = sys_get_temp_dir() . '/embrel-bench-' . getmypid();
mkdir($folder);
$embrel = escapeshellarg(__DIR__ . '/../bin/embrel');
$words = explode(
    ' ',
    'tide marsh wall creek mud silt samphire oyster parish sluice redshank thrift purslane gauge surge breach bank barge spring neap',
);
$xml = '<?xml version="1.0" encoding="UTF-8"?><opml version="2.0"><head><title>Bench</title></head><body>';
for ($i = 0, $open = 0; $i < 5000; ++$i) {
    for ($level = min(3, $i % 10); $open > $level; --$open) {
        $xml .= '</outline>';
    }
    $note = '';
    for ($w = 0; $w < 40; ++$w) {
        $note .= $words[($i * 7 + $w * 3) % 20] . ' ';
    }
    $xml .= "<outline text=\"Topic number {$i}\" _note=\"{$note}\">";
    ++$open;
}
file_put_contents("{$folder}/in.opml", $xml . str_repeat('</outline>', $open) . '</body></opml>');
shell_exec("php {$embrel} convert {$folder}/in.opml {$folder}/out.docx && cd {$folder} && unzip -q -o out.docx -d parts");
file_put_contents(
    "{$folder}/walk.php",
    '<?php $d = new DOMDocument(); $d->load($argv[1]); $n = 0; $w = function ($e) use (&$w, &$n) { foreach ($e->childNodes as $c) { if '
        . '($c instanceof DOMElement) { $n += strlen($c->getAttribute("text")); $w($c); } } }; $w($d->documentElement); echo $n;',
);
file_put_contents(
    "{$folder}/write.php",
    '<?php $x = new XMLWriter(); $x->openUri($argv[2] . ".xml"); $i = fopen($argv[1] . "/word/document.xml", "r"); while (($s = fread($i, '
        . '8192)) !== "" && $s !== false) { $x->writeRaw($s); } $x->flush(); unset($x); $z = new ZipArchive(); $z->open($argv[2], '
        . 'ZipArchive::CREATE | ZipArchive::OVERWRITE); $z->addFile($argv[2] . ".xml", "word/document.xml"); foreach '
        . '(["word/styles.xml", "word/numbering.xml"] as $p) { $z->addFromString($p, file_get_contents($argv[1] . "/" . $p)); } '
        . '$z->close();',
);
$commands = [
    'walk' => "php {$folder}/walk.php {$folder}/in.opml",
    'text' => "php {$embrel} convert {$folder}/in.opml {$folder}/out.txt",
    'write' => "php {$folder}/write.php {$folder}/parts {$folder}/floor.docx",
    'docx' => "php {$embrel} convert {$folder}/in.opml {$folder}/out2.docx",
];
$times = medians($commands, ROUNDS);
printf(
    "convert to numbered text: %.2f times loading and walking the file (%.0f ms against %.0f ms)\n",
    $times['text'] / $times['walk'],
    $times['text'],
    $times['walk'],
);
printf(
    "convert to docx: %.2f times writing the same bytes (%.0f ms against %.0f ms)\n",
    $times['docx'] / $times['write'],
    $times['docx'],
    $times['write'],
);
foreach (['txt', 'docx'] as $format) {
    file_put_contents(
        "{$folder}/peak.php",
        '<?php register_shutdown_function(static fn() => file_put_contents(__DIR__ . "/peak", memory_get_peak_usage(true)));',
    );
    shell_exec("php -d auto_prepend_file={$folder}/peak.php {$embrel} convert {$folder}/in.opml {$folder}/m.{$format} 2>/dev/null");
    printf("memory for %s at its peak: %.0f MB\n", $format, (int) file_get_contents("{$folder}/peak") / 1048576);
}
exec('rm -rf ' . escapeshellarg($folder));
