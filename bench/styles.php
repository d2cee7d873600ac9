<?php

declare(strict_types=1);

// Styles of the standard's collection on 1,000 sources with 3,000 citations, against the reference processor in Node
// on the same work: the text of each citation, and the list.

use Embrel\Citation\Csl\Cite;
use Embrel\Citation\Csl\Item;
use Embrel\Citation\Csl\Locales;
use Embrel\Citation\Csl\Processor;
use Embrel\Citation\Csl\Spans;
use Embrel\Citation\Csl\StyleReader;

require __DIR__ . '/../vendor/autoload.php';

const SOURCES = 1_000;
const ROUNDS = 5;
const STYLES = ['apa', 'ieee', 'chicago-author-date', 'modern-language-association'];
const NAMES = ['Pell', 'Moor', 'Brent', 'Ward', 'Oakes', 'Lund', 'Vane', 'Ames', 'Orr', 'Kay', 'Harl', 'Meer', 'Cole', 'Yarrow', 'Teal', 'Finch', 'Reed'];
const WORDS = ['Tides', 'Walls', 'Mud', 'Silt', 'Creek', 'Marsh', 'Samphire', 'Oyster', 'Parish', 'Sluice', 'Redshank', 'Thrift', 'Gauge', 'Surge'];
const KINDS = ['book', 'chapter', 'article-journal', 'article-newspaper', 'webpage', 'report', 'thesis', 'motion_picture', 'interview'];

$items = [];
for ($i = 0; $i < SOURCES; ++$i) {
    $people = [];
    for ($n = 0; $n <= $i % 4; ++$n) {
        $people[] = ['family' => NAMES[($i * 3 + $n * 7) % 17] . $i % 19, 'given' => 'Given ' . WORDS[($i + $n) % 14]];
    }
    $title = implode(' ', array_map(static fn(int $w): string => WORDS[($i * 7 + $w * 3 + intdiv($i, 14)) % 14], range(1, 6)));
    $items[] = [
        'id' => "s{$i}",
        'type' => KINDS[$i % 9],
        'title' => "{$title}: a history",
        'author' => $people,
        'issued' => ['date-parts' => [[1900 + $i % 120]]],
        'container-title' => WORDS[($i + 5) % 14] . ' Notes',
        'publisher' => 'Creekside Press',
        'publisher-place' => 'Harrow',
        'volume' => (string) ($i % 40),
        'issue' => '2',
        'page' => $i % 300 . '-' . ($i % 300 + 12),
        'URL' => "https://a.example/{$i}",
    ];
}
$citations = array_map(
    static fn(int $i): array => ['id' => 's' . $i * 7 % SOURCES, 'locator' => (string) ($i % 400)] + ($i % 9 === 0 ? ['prefix' => 'see '] : []),
    range(0, 3 * SOURCES - 1),
);
$directory = sys_get_temp_dir() . '/embrel-bench-' . getmypid();
mkdir($directory);
try {
    file_put_contents("{$directory}/work.json", json_encode(['items' => $items, 'citations' => $citations], JSON_THROW_ON_ERROR));
    $node = 'node ' . implode(' ', array_map(escapeshellarg(...), [__DIR__ . '/styles.mjs', $directory, ...STYLES]));
    $reference = json_decode((string) shell_exec($node), true, flags: JSON_THROW_ON_ERROR);
    $locales = new Locales(static function (string $tag) use ($directory): ?string {
        return is_file("{$directory}/locales-{$tag}.xml") ? (string) file_get_contents("{$directory}/locales-{$tag}.xml") : null;
    });
    foreach (STYLES as $name) {
        $read = hrtime(true);
        $style = StyleReader::read((string) file_get_contents("{$directory}/{$name}.csl"), $locales);
        $read = (hrtime(true) - $read) / 1e6;
        $times = [];
        for ($round = 0; $round < ROUNDS; ++$round) {
            $start = hrtime(true);
            // As the reference does, what a source says is taken out of its fields within the time.
            $sources = [];
            foreach ($items as $item) {
                $sources[$item['id']] = new Item($item['id'], $item);
            }
            $cites = array_map(static fn(array $c): array => [new Cite($c['id'], $c['locator'], 'page', $c['prefix'] ?? '')], $citations);
            $printed = Processor::run($style, $sources, $cites);
            foreach ([...$printed['citations'], ...$printed['list']] as $text) {
                Spans::of($text, $style->locale->quotes);
            }
            $times[] = (hrtime(true) - $start) / 1e6;
        }
        printf(
            "styles, %s: %.3f times the reference processor (%.0f ms against %.0f ms); reading the style %.0f ms\n",
            $name,
            min($times) / $reference[$name],
            min($times),
            $reference[$name],
            $read,
        );
    }
} finally {
    array_map(unlink(...), glob("{$directory}/*") ?: []);
    rmdir($directory);
}
