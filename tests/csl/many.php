<?php

declare(strict_types=1);

// Prints 5,000 sources with 15,000 citations in a style, and says how many entries the list has. Run under the limit of memory that is
// tried: php -d memory_limit=128M tests/csl/many.php KEY

use Embrel\Citation\CitationStyle;
use Embrel\Citation\Cited;
use Embrel\Citation\PartialDate;
use Embrel\Citation\Person;
use Embrel\Citation\References;
use Embrel\Citation\Source;
use Embrel\Citation\SourceKind;

require __DIR__ . '/../../vendor/autoload.php';

$kinds = SourceKind::cases();
$sources = $citations = [];
for ($i = 0; $i < 5000; ++$i) {
    $id = sprintf('%05d', $i);
    $sources[$id] = new Source(
        $id,
        "The tide in the year {$i}",
        $kinds[$i % count($kinds)],
        [new Person('Pell' . $i % 700, 'Anna'), new Person('Moor' . $i % 90, 'Ada')],
        date: PartialDate::of((string) (1900 + $i % 120)),
        container: 'Tidal Notes',
        publisher: 'Creekside Press',
    );
}
for ($i = 0; $i < 15000; ++$i) {
    $citations[] = [new Cited(sprintf('%05d', ($i * 7) % 5000), (string) ($i % 400))];
}
echo count(References::of(new CitationStyle($argv[1]), 'en', $sources, $citations)->list);
