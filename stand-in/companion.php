<?php

declare(strict_types=1);

/**
 * Stands in for a server of language models: answers a chat completion, as events, with what can be worked out from the
 * text that came: questions, terms, a first draft, main sentences. What goes wrong elsewhere goes wrong here where the text
 * asks for it: “(stand-in: slow)”, silent, refuses, wrong, cut, long.
 */

use Embrel\Id\CountedIds;
use Embrel\Intake\Options;
use Embrel\Language\Sentences;
use Embrel\Language\Tongue;
use Embrel\Plan\Edit;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;
use Embrel\Prompt\Asking;
use Embrel\Prompt\Drafting\FirstDraft;
use Embrel\Prompt\Helper\Wish;
use Embrel\Prompt\Shorter\MainSentences;
use Embrel\Prompt\Shorter\Saying;
use Embrel\Prompt\Terms\KeyPhrases;
use Embrel\Reader\TextOutline\TextReader;
use Embrel\RichText\Node;
use Embrel\RichText\Note;

require_once __DIR__ . '/../vendor/autoload.php';

$asked = json_decode((string) file_get_contents('php://input'), true);
$instruction = (string) ($asked['messages'][0]['content'] ?? '');
$text = (string) ($asked['messages'][1]['content'] ?? '');
$language = preg_match('/language “([a-zA-Z-]+)”/u', $instruction, $m) === 1 ? $m[1] : 'en';
$trouble = preg_match('/\(stand-in: (\w+)\)/', $text, $m) === 1 ? $m[1] : '';
if ($trouble === 'refuses') {
    http_response_code(403);
    echo '{"error": {"message": "No."}}';

    return true;
}
header('Content-Type: text/event-stream');
if ($trouble === 'wrong') {
    echo '<h1>Welcome</h1>';

    return true;
}
$wish = null;
foreach (Wish::cases() as $one) {
    $wish = str_starts_with($instruction, $one->instruction()) ? $one : $wish;
}

// What came, as a plan again: the branch, and its notes.
$outline = preg_match('/^Outline:\n(.*?)(?:\n\n|\z)/ms', $text, $m) === 1 ? $m[1] : '';
$lines = preg_replace('/^(\s*)- /m', '$1', preg_replace('/\A[^\n]*\n?/', '', $outline) ?? '') ?? '';
$in = fopen('php://temp', 'w+');
fwrite($in, trim($lines) === '' ? 'Nothing' : (string) preg_replace('/^  /m', '', $lines));
rewind($in);
$plan = (new TextReader())->read($in, new Options(strtok($outline, "\n") ?: 'Untitled'), new CountedIds())->plan;
$plan = $plan->withProperties($plan->properties->with(['language' => $language]));
preg_match_all('/^Note on “([^\n]*)”:\n(.*?)(?=\n\nNote on “|\z)/ms', $text, $notes, PREG_SET_ORDER);
$edit = new Edit($plan);
$all = '';
foreach ($notes as [, $called, $note]) {
    $all .= "{$note}\n";
    foreach ($plan->standing() as $id) {
        if ($plan->topic($id)->title === $called) {
            $edit->put($plan->topic($id)->with(['kind' => Kind::Point])->withNote(Note::of([Node::plain(str_replace("\n", ' ', $note), $id)])));
        }
    }
}
$plan = $edit->done();

$answer = match ($wish) {
    Wish::Questions => implode('', array_map(static fn($one): string => "- {$one->text}\n", Asking::of($plan, Plan::ROOT, null))),
    Wish::Ideas => implode('', array_map(
        static fn($term): string => '- More on ' . $term->words . "\n",
        array_slice(KeyPhrases::of(Tongue::of($language), ['a' => $all . str_replace('- ', '', $outline)]), 0, 6),
    )) ?: "- What it costs\n- Who pays\n  - And when\n",
    Wish::Draft => (static function () use ($plan, $all): string {
        $draft = '';
        foreach ($plan->parts(Plan::ROOT) as $id) {
            $note = $plan->topic($id)->note?->plainText();
            $draft .= $note === null ? '' : "{$note}\n\n";
        }

        return $draft === '' ? trim($all) . "\n" : $draft;
    })(),
    default => implode(' ', array_map(static fn(Saying $one): string => $one->text, MainSentences::of(
        Tongue::of($language),
        array_map(static fn(string $one): Saying => new Saying('', '', $one), Sentences::of($all, $language)),
        80,
    ))) . "\n",
};
$answer = trim($answer) === '' ? "Nothing can be said of so little.\n" : $answer;
if ($trouble === 'long') {
    $answer = str_repeat($answer, (int) ceil(60_000 / strlen($answer)));
}
if ($trouble === 'hostile') {
    $answer = "- <script>alert(1)</script>\n- [a link](javascript:alert(1))\n- ![x](http://127.0.0.1/x.png)\n- " . str_repeat('deep ', 400) . "\n";
}
set_time_limit(30);
ob_implicit_flush();
while (ob_get_level() > 0) {
    ob_end_flush();
}
foreach (preg_split('/(?<=\s)/u', $answer) ?: [] as $i => $piece) {
    if ($trouble === 'silent' && $i === 3) {
        sleep(25);
    }
    if ($trouble === 'cut' && $i === 5) {
        return true;
    }
    echo 'data: ' . json_encode(['choices' => [['delta' => ['content' => $piece]]]], JSON_UNESCAPED_UNICODE) . "\n\n";
    flush();
    // What is too long comes as fast as it can: it is to be its length that ends it, not the time.
    usleep(match ($trouble) {
        'slow' => 400_000,
        'long' => 0,
        default => 2_000,
    });
    if (connection_aborted() === 1) {
        return true;
    }
}
echo "data: [DONE]\n\n";

return true;
