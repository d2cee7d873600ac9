<?php

declare(strict_types=1);

// The list of 1,000 sources with 3,000 citations in each style, against sorting and printing the
// same strings without any rule of a style; and how it grows.

use Embrel\Citation\Cited;
use Embrel\Citation\Manual;
use Embrel\Citation\PartialDate;
use Embrel\Citation\Person;
use Embrel\Citation\References;
use Embrel\Citation\Source;
use Embrel\Citation\SourceKind;
use Embrel\RichText\Node;
use Embrel\Writer\Html\HtmlWriter;

require __DIR__ . '/../vendor/autoload.php';
const ROUNDS = 15;
$words = explode(
    ' ',
    'Tides Walls Mud Silt Creek Marsh Samphire Oyster Parish Sluice Redshank Thrift Gauge Surge Breach Bank Barge Spring Neap Harbour',
);
$names = explode(' ', 'Pell Moor Brent Ward Oakes Lund Vane Ames Orr Kay Harl Meer Cole Yarrow Teal Finch Reed Stark Bell Dunn');
/** @return array<string, Source> */
$sources = static function (int $count) use ($words, $names): array {
    $sources = [];
    for ($i = 0; $i < $count; ++$i) {
        $id = str_pad((string) $i, 26, '0', STR_PAD_LEFT);
        $people = [];
        for ($n = 0; $n <= $i % 4; ++$n) {
            $people[] = new Person($names[($i * 3 + $n * 7) % 20] . $i % 17, 'Given ' . $words[($i + $n) % 20]);
        }
        $title = implode(' ', array_map(static fn(int $w): string => $words[($i * 7 + $w * 3 + intdiv($i, 20)) % 20], range(1, 6)));
        $sources[$id] = (new Source(
            $id,
            "{$title}: a History of the {$words[$i % 20]}",
            SourceKind::cases()[$i % 9],
            $people,
            date: PartialDate::of((string) (1900 + ($i % 120))),
        ))->with([
            'container' => "{$words[($i + 5) % 20]} Notes",
            'publisher' => 'Creekside Press',
            'place' => 'Harrow',
            'volume' => (string) ($i % 40),
            'issue' => '2',
            'pages' => $i % 300 . '-' . (($i % 300) + 12),
            'url' => "https://a.example/{$i}",
        ]);
    }

    return $sources;
};
$citations = static fn(array $sources): array => array_map(
    static fn(int $i): array => [
        new Cited((string) array_keys($sources)[($i * 7) % count($sources)], (string) ($i % 400), $i % 9 === 0 ? 'see' : ''),
    ],
    range(0, 3 * count($sources) - 1),
);
$printed = static function (References $references): int {
    $writer = new HtmlWriter();
    $length = 0;
    foreach ([...$references->citations, ...array_column($references->list, 'runs')] as $runs) {
        $length += strlen($writer->inlines($runs));
    }

    return $length;
};
$median = static function (callable $work): float {
    $times = [];
    for ($i = 0; $i < ROUNDS; ++$i) {
        $start = hrtime(true);
        $work();
        $times[] = (hrtime(true) - $start) / 1e6;
    }
    sort($times);

    return $times[intdiv(ROUNDS, 2)];
};
[$some, $twice] = [$sources(1000), $sources(2000)];
[$cited, $citedTwice] = [$citations($some), $citations($twice)];
foreach (Manual::cases() as $style) {
    $references = References::of($style->style(), 'en', $some, $cited);
    $texts = array_map(
        static fn(array $runs): array => [Node::text(implode('', array_map(static fn(Node $run): string => $run->text, $runs)))],
        array_column($references->list, 'runs'),
    );
    $inText = array_map(
        static fn(array $runs): array => [Node::text(implode('', array_map(static fn(Node $run): string => $run->text, $runs)))],
        $references->citations,
    );
    $floor = $median(static function () use ($texts, $inText): void {
        $collator = new Collator('en');
        $strings = array_map(static fn(array $runs): string => $runs[0]->text, $texts);
        $collator->sort($strings);
        $writer = new HtmlWriter();
        foreach ($strings as $string) {
            $writer->inlines([Node::text($string)]);
        }
        foreach ($inText as $runs) {
            $writer->inlines([Node::text($runs[0]->text)]);
        }
    });
    $once = $median(static fn(): int => $printed(References::of($style->style(), 'en', $some, $cited)));
    $double = $median(static fn(): int => $printed(References::of($style->style(), 'en', $twice, $citedTwice)));
    printf(
        "references, %s: %.1f times sorting and printing the same strings (%.1f ms against %.1f ms); twice as many take %.2f times as long\n",
        $style->style()->label(),
        $once / $floor,
        $once,
        $floor,
        $double / $once,
    );
}
