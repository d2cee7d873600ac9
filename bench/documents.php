<?php

declare(strict_types=1);

// Whole processes: 1,000 topics with 100,000 words out as docx, odt, HTML and PDF, against PHP writing the same
// bytes; documents in, against unzipping them and walking their XML. A word processor's times stand beside them.

require __DIR__ . '/processes.php';
const ROUNDS = 7;
$folder = sys_get_temp_dir() . '/embrel-documents-' . getmypid();
mkdir($folder);
$embrel = escapeshellarg(__DIR__ . '/../bin/embrel');
$words = explode(
    ' ',
    'tide marsh wall creek mud silt samphire oyster parish sluice redshank thrift purslane gauge surge breach bank barge spring neap',
);

/** A plan as OPML. */
function opml(int $topics, int $wordsEach, array $words): string
{
    $xml = '<?xml version="1.0" encoding="UTF-8"?><opml version="2.0"><head><title>Bench</title></head><body>';
    for ($i = 0, $open = 0; $i < $topics; ++$i) {
        for ($level = min(3, $i % 10); $open > $level; --$open) {
            $xml .= '</outline>';
        }
        $note = '';
        for ($w = 0; $w < $wordsEach; ++$w) {
            $note .= $words[($i * 7 + $w * 3 + intdiv($w, 20)) % 20] . ($w % 12 === 11 ? '. ' : ' ');
        }
        $xml .= "<outline text=\"Topic number {$i}\" _note=\"{$note}\">";
        ++$open;
    }

    return $xml . str_repeat('</outline>', $open) . '</body></opml>';
}

function peak(string $folder, string $command): float
{
    file_put_contents(
        "{$folder}/peak.php",
        '<?php register_shutdown_function(static fn() => file_put_contents(__DIR__ . "/peak", memory_get_peak_usage(true)));',
    );
    shell_exec("php -d auto_prepend_file={$folder}/peak.php {$command} > /dev/null 2>&1");

    return (int) file_get_contents("{$folder}/peak") / 1048576;
}

file_put_contents("{$folder}/in.opml", opml(1000, 100, $words));
$commands = [];
foreach (['docx', 'odt', 'html'] as $format) {
    shell_exec("php {$embrel} convert {$folder}/in.opml {$folder}/out.{$format} 2>/dev/null");
    $commands["{$format} floor"] = writing($folder, "{$folder}/out.{$format}");
    $commands[$format] = "php {$embrel} convert {$folder}/in.opml {$folder}/again.{$format}";
}
$commands['pdf'] = "php {$embrel} convert {$folder}/in.opml {$folder}/out.pdf";
$times = medians($commands, ROUNDS);
$hasOffice = trim((string) shell_exec('command -v soffice')) !== '';
$office = static fn(
    string $to,
): string => "soffice --headless -env:UserInstallation=file://{$folder}/profile --convert-to {$to} --outdir {$folder}/office {$folder}/out.html";
$beside = $hasOffice ? medians(['docx' => $office('docx'), 'odt' => $office('odt'), 'pdf' => $office('pdf')], 3) : [];
foreach (['docx', 'odt', 'html'] as $format) {
    printf(
        "convert 100,000 words to %s: %.2f times writing the same bytes (%.0f ms against %.0f ms%s), %.0f MB\n",
        $format,
        $times[$format] / $times["{$format} floor"],
        $times[$format],
        $times["{$format} floor"],
        isset($beside[$format]) ? sprintf('; LibreOffice from HTML %.0f ms', $beside[$format]) : '',
        peak($folder, "{$embrel} convert {$folder}/in.opml {$folder}/m.{$format}"),
    );
}
printf(
    "convert 100,000 words to pdf: %.0f ms%s, %.0f MB\n",
    $times['pdf'],
    isset($beside['pdf'])
        ? sprintf(', %.2f of what LibreOffice takes from HTML (%.0f ms)', $times['pdf'] / $beside['pdf'], $beside['pdf'])
        : '',
    peak($folder, "{$embrel} convert {$folder}/in.opml {$folder}/m.pdf"),
);

// The same words with a letter that the shipped fonts do not hold in each: every word is shaped by HarfBuzz.
file_put_contents("{$folder}/shaped.opml", opml(1000, 100, array_map(static fn(string $word): string => "{$word}ế", $words)));
$t = medians([
    'plain' => "php {$embrel} convert {$folder}/in.opml {$folder}/again.pdf",
    'shaped' => "php {$embrel} convert {$folder}/shaped.opml {$folder}/shaped.pdf",
], ROUNDS);
printf(
    "convert 100,000 Latin words to pdf, each shaped: %.2f times without (%.0f ms against %.0f ms), %.0f MB\n",
    $t['shaped'] / $t['plain'],
    $t['shaped'],
    $t['plain'],
    peak($folder, "{$embrel} convert {$folder}/shaped.opml {$folder}/m.pdf"),
);

// Documents in. The floor unzips everything and walks the XML of the text.
file_put_contents(
    "{$folder}/walk.php",
    '<?php
$z = new ZipArchive(); $z->open($argv[1]); $to = $argv[2]; @mkdir($to);
for ($i = 0; $i < $z->numFiles; ++$i) { file_put_contents("$to/" . strtr($z->getNameIndex($i), "/", "_"), $z->getFromIndex($i)); }
foreach (glob("$to/*.xml") as $f) { $r = XMLReader::open($f); $n = 0; while ($r->read()) { if ($r->nodeType === XMLReader::TEXT) { $n += strlen($r->value); } } }',
);
$samples = getenv('EMBREL_SAMPLES');
$given = $samples === false ? [] : (glob("{$samples}/docx/*.docx") ?: []);
usort($given, static fn(string $a, string $b): int => filesize($b) <=> filesize($a));
$files = array_filter([
    'the largest sample' => $given[0] ?? null,
    '100,000 words' => "{$folder}/out.docx",
    '100,000 words in odt' => "{$folder}/out.odt",
]);
foreach ($files as $name => $file) {
    $t = medians([
        'walk' => "php {$folder}/walk.php " . escapeshellarg($file) . " {$folder}/walked",
        'inspect' => "php {$embrel} inspect " . escapeshellarg($file),
    ], ROUNDS);
    printf(
        "take in %s: %.2f times unzipping it and walking its XML (%.0f ms against %.0f ms), %.0f MB\n",
        $name,
        $t['inspect'] / $t['walk'],
        $t['inspect'],
        $t['walk'],
        peak($folder, "{$embrel} inspect " . escapeshellarg($file)),
    );
}
$growth = [];
foreach ([5_000, 50_000] as $topics) {
    file_put_contents("{$folder}/grow.opml", opml($topics, 10, $words));
    shell_exec("php -d memory_limit=2G {$embrel} convert {$folder}/grow.opml {$folder}/grow.docx --no-contents 2>/dev/null");
    $growth[$topics] = medians(["php {$embrel} inspect {$folder}/grow.docx"], 3)[0];
}
printf(
    "take in 50,000 topics: %.1f times 5,000 (%.0f ms against %.0f ms)\n",
    $growth[50_000] / $growth[5_000],
    $growth[50_000],
    $growth[5_000],
);
exec('rm -rf ' . escapeshellarg($folder));
