<?php

declare(strict_types=1);

// The checks of a whole plan of 5,000 topics with 200,000 words, against one loop that counts its words.

use Embrel\Check\Check;
use Embrel\Check\Text\Reader;
use Embrel\Check\Text\Reading;
use Embrel\Id\CountedIds;
use Embrel\Intake\Options;
use Embrel\Plan\Edit;
use Embrel\Reader\TextOutline\TextReader;
use Embrel\RichText\Node;
use Embrel\RichText\Note;

require __DIR__ . '/../vendor/autoload.php';

const TOPICS = 5_000;
const ROUNDS = 9;
const WORDS = ['water', 'the', 'marsh', 'was', 'cut', 'by', 'hand', 'and', 'wall', 'stood', 'where', 'creek', 'ran', 'once', 'a', 'year', 'for', 'salt'];

mt_srand(7);
$lines = '';
for ($i = 0; $i < TOPICS; ++$i) {
    $lines .= str_repeat("\t", $i % 100 === 0 ? 0 : ($i % 10 === 0 ? 1 : 2)) . "Topic number {$i} of this plan\n";
}
$in = fopen('php://temp', 'w+');
fwrite($in, $lines);
rewind($in);
$ids = new CountedIds();
$plan = (new TextReader())->read($in, new Options('Bench'), $ids)->plan;
$edit = new Edit($plan);
foreach ($plan->standing() as $id) {
    $text = '';
    $at = 0;
    for ($words = 0; $words < 40; ++$words) {
        // Never the same word twice in a row.
        $word = WORDS[$at = ($at + mt_rand(1, 17)) % 18];
        $text .= $words % 13 === 0 ? ($words === 0 ? '' : '. ') . ucfirst($word) : " {$word}";
    }
    $edit->put($plan->topic($id)->withNote(Note::of([Node::plain("{$text}.", $ids->next())])));
}
$plan = $edit->done();

/** Milliseconds. */
$time = static function (Closure $work): float {
    $start = hrtime(true);
    $work();

    return (hrtime(true) - $start) / 1e6;
};
$readings = [];
foreach ($plan->topics as $id => $topic) {
    if ($topic->note !== null) {
        $readings[$id] = Reader::note($topic->note, 'en');
    }
}
$stored = array_map(static fn(Reading $one): string => (string) json_encode($one->toArray()), $readings);
$times = [];
for ($i = 0; $i < ROUNDS; ++$i) {
    $times['floor'][] = $time(static function () use ($plan): void {
        $words = 0;
        foreach ($plan->topics as $topic) {
            $words += $topic->note?->words() ?? 0;
        }
        $words === TOPICS * 40 || throw new LogicException("There are {$words} words.");
    });
    $times['whole'][] = $time(static fn() => Check::ofWhole($plan));
    $times['kept'][] = $time(static function () use ($plan, $stored): void {
        Check::of($plan, array_filter(array_map(static fn(string $one): ?Reading => Reading::read(json_decode($one, true), 'en'), $stored)));
    });
}
$median = static function (array $of): float {
    sort($of);

    return $of[intdiv(count($of), 2)];
};
$floor = $median($times['floor']);
printf(
    "checking 5,000 topics with 200,000 words: %.2f times counting the words (%.1f ms against %.1f ms)\n",
    $median($times['whole']) / $floor,
    $median($times['whole']),
    $floor,
);
printf("after one change, with what was read in the notes kept: %.2f times (%.1f ms)\n", $median($times['kept']) / $floor, $median($times['kept']));
