<?php

declare(strict_types=1);

// What belongs near among 200 plans with 2,000,000 words, saving beside it, key phrases of 100,000 words, and the first
// draft of 100 sections.

use App\Models\Plan as PlanRow;
use App\Models\User;
use App\Store\NearBy;
use App\Store\PassageIndex;
use App\Store\PlanStore;
use Embrel\Draft\Choices;
use Embrel\Id\CountedIds;
use Embrel\Language\Tongue;
use Embrel\Operation\EditNote;
use Embrel\Plan\Edit;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;
use Embrel\Plan\Topic;
use Embrel\Prompt\Drafting\FirstDraft;
use Embrel\Prompt\Near\Sought;
use Embrel\Prompt\Terms\KeyPhrases;
use Embrel\RichText\Node;
use Embrel\RichText\Note;
use Embrel\Words;
use Embrel\Writer\Format;
use Illuminate\Support\Facades\DB;

require __DIR__ . '/plans.php';

const PLANS = 200;
const TOPICS = 100;
const ROUNDS = 9;

mt_srand(11);
/** Words as a language has them: some stand everywhere, most seldom (Zipf); made of syllables, with endings. */
$vocabulary = [];
foreach (range(0, 11_999) as $i) {
    $syllables = ['ma', 'rel', 'to', 'sin', 'bra', 'ku', 'den', 'lo', 'vis', 'pa', 'gor', 'ten', 'mi', 'sal', 'fe', 'run'];
    $word = '';
    for ($n = $i + 16; $n > 0; $n = intdiv($n, 16)) {
        $word .= $syllables[$n % 16];
    }
    $vocabulary[] = $word . ['', 's', 'ing', 'ed'][$i % 4];
}
$holding = ['the', 'of', 'and', 'in', 'to', 'was', 'that', 'it', 'with', 'for', 'on', 'by'];
$text = static function (int $words) use ($vocabulary, $holding): string {
    $out = [];
    for ($i = 0; $i < $words; ++$i) {
        $out[] = $i % 3 === 1 ? $holding[mt_rand(0, 11)] : $vocabulary[(int) (exp(mt_rand(0, 1_000_000) / 1_000_000 * log(12_000)) - 1)];
        $i % 14 === 13 ? $out[] = array_pop($out) . '.' : null;
        // As the editor writes them.
        $i % 60 === 59 ? $out[] = '“' . array_pop($out) . '”' : null;
    }

    return ucfirst(implode(' ', $out)) . '.';
};
/** Milliseconds. */
$time = static function (Closure $work): float {
    $start = hrtime(true);
    $work();

    return (hrtime(true) - $start) / 1e6;
};
$middle = static function (array $times): float {
    sort($times);

    return $times[intdiv(count($times), 2)];
};

// A person of their own, so that nothing but these plans is read.
$user = User::query()->create(['name' => 'Prompts', 'email' => uniqid('prompts') . '@example.org', 'password' => 'a long secret']);
$store = app(PlanStore::class);
$rows = [];
for ($p = 0; $p < PLANS; ++$p) {
    $edit = new Edit(Plan::titled("Plan {$p}"));
    for ($t = 0; $t < TOPICS; ++$t) {
        $topic = new Topic($ids->next(), $text(4));
        $edit->append($topic->withNote(Note::of([Node::plain($text(48), $ids->next()), Node::plain($text(48), $ids->next())])), Plan::ROOT);
    }
    $rows[] = $store->create($user, $edit->done());
}
$words = (int) DB::table('topics')->whereIn('plan_id', array_map(static fn(PlanRow $row): string => $row->id, $rows))->sum('words');
printf("%s words in %d plans\n", number_format($words), PLANS);
printf("reading all of them for the first time: %.1f s\n", $time(static fn() => (new PassageIndex(INF))->follow($rows)) / 1000);
DB::statement('ANALYZE TABLE passage_words, passages, notes');

$row = $rows[0];
$tree = $store->load($row);
$topics = array_slice($tree->standing(), 0, ROUNDS);
$times = [];
foreach ($topics as $topic) {
    $plain = (string) DB::table('notes')->where('plan_id', $row->id)->where('topic_id', $topic)->value('plain');
    $sought = Sought::of(Tongue::of('en'), $tree->topic($topic)->title, $plain)->narrowed([], 1);
    $asked = implode(' ', array_keys($sought->words));
    $in = array_map(static fn(PlanRow $one): string => $one->id, $rows);
    $times['fulltext'][] = $time(static fn() => DB::table('notes')
        ->whereIn('plan_id', $in)
        ->whereRaw('MATCH (plain) AGAINST (?)', [$asked])
        ->selectRaw('plan_id, topic_id, plain, MATCH (plain) AGAINST (?) AS rank_of_it', [$asked])
        ->orderByDesc('rank_of_it')
        ->limit(12)
        ->get());
    $times['near'][] = $time(static function () use ($user, $row, $tree, $topic): void {
        NearBy::of($user, $row, $tree, $topic)['passages'] === [] && throw new LogicException('Nothing is near.');
    });
}
printf("what belongs near: %.2f times one FULLTEXT query (%.1f ms; bound 3)\n", $middle($times['near']) / $middle($times['fulltext']), $middle($times['near']));

// Saving: every plan is in the index now. Then the same with none in it.
$save = static function () use ($store, $row, $user, $topics, $text, $ids): void {
    $store->apply($row, User::query()->findOrFail($user->id), [
        $store->change(new EditNote($topics[mt_rand(0, ROUNDS - 1)], [Node::plain($text(48), $ids->next())])),
    ]);
};
$times = [];
foreach (range(1, 4 * ROUNDS) as $i) {
    $times['with'][] = $time($save);
    $times['after'][] = $time(static fn() => (new PassageIndex(INF))->follow([$row->refresh()]));
}
DB::table('passage_plans')->delete();
foreach (range(1, 4 * ROUNDS) as $i) {
    $times['without'][] = $time($save);
}
printf(
    "saving: %.2f times that without the index (bound 1.2); bringing it up afterwards takes %.2f of a save\n",
    $middle($times['with']) / $middle($times['without']),
    $middle($times['after']) / $middle($times['without']),
);

$long = $text(100_000);
$times = [];
foreach (range(1, ROUNDS) as $i) {
    $times['count'][] = $time(static fn() => Words::in($long));
    $times['phrases'][] = $time(static fn() => KeyPhrases::of(Tongue::of('en'), ['a' => $long]));
}
$first = $times['phrases'][0];
printf(
    "key phrases of 100,000 words: %.2f times counting them (%.0f ms, the first time %.0f; bound 8)\n",
    $middle($times['phrases']) / $middle($times['count']),
    $middle($times['phrases']),
    $first,
);

$edit = new Edit(Plan::titled('Sections'));
$of = new CountedIds();
for ($s = 0; $s < 100; ++$s) {
    $edit->append(new Topic($section = $of->next(), $text(4)), Plan::ROOT);
    for ($p = 0; $p < 8; ++$p) {
        $point = new Topic($of->next(), $text(6), $p % 4 === 3 ? Kind::Quote : Kind::Point);
        $edit->append($point->withNote(Note::of([Node::plain($text(60), $of->next()), Node::plain($text(60), $of->next())])), $section);
    }
}
$plan = $edit->done();
$times = [];
foreach (range(1, ROUNDS) as $i) {
    $times['html'][] = $time(static function () use ($plan): void {
        $out = fopen('php://temp', 'w+');
        Format::Html->writer()->write($plan, new Choices(), $out, sys_get_temp_dir());
    });
    $times['draft'][] = $time(static function () use ($plan): void {
        foreach (FirstDraft::sections($plan, Plan::ROOT) as $section) {
            FirstDraft::of($plan, $section)->blocks(new CountedIds());
        }
    });
}
printf(
    "first draft of 100 sections: %.2f times writing its HTML (%.1f ms; bound 4)\n",
    $middle($times['draft']) / $middle($times['html']),
    $middle($times['draft']),
);
printf("memory: %d MB (bound 256)\n", memory_get_peak_usage() >> 20);
