<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan as PlanRow;
use Embrel\Draft\InWords;
use Embrel\Language\Tongue;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;
use Embrel\Prompt\Drafting\FirstDraft;
use Embrel\Prompt\Drafting\Piece;
use Embrel\Prompt\Drafting\Sketch;
use Embrel\Prompt\Shorter\MainSentences;
use Embrel\Prompt\Shorter\Saying;
use Embrel\Prompt\Shorter\Sayings;
use Embrel\Prompt\Terms\KeyPhrases;
use Embrel\Prompt\Terms\Term;
use Embrel\Prompt\Terms\Untaken;
use Embrel\RichText\Node;
use Embrel\RichText\Note;
use Embrel\Words;
use Illuminate\Support\Facades\DB;

/** What is made of a plan's own words: its terms, its main sentences, first drafts. Nothing of it is kept before somebody takes it. */
final class PlanPrompts
{
    /** Notes that are read whole; of a plan, so many that have words, in reading order. */
    private const NOTES = 2_000;
    private const CHUNK = 500;

    private readonly Numbering $numbering;

    /** @param Plan $plan the tree, without notes */
    public function __construct(private readonly PlanRow $row, private readonly Plan $plan)
    {
        $this->numbering = Numbering::of($plan);
    }

    /**
     * What a branch is about, and what of the plan's title its main sections do not take up.
     *
     * @return array{terms: list<array<string, mixed>>, chosen: list<array{string, string}>,
     * untaken: list<array{section: array{string, string}, words: list<string>}>}
     */
    public function terms(string $branch): array
    {
        $tongue = Tongue::of($this->row->language);
        $texts = $this->texts($this->plan->branch($branch));
        $terms = array_map(
            fn(Term $term): array => ['words' => $term->words, 'times' => $term->times, 'first' => $this->called($term->first)],
            KeyPhrases::of($tongue, $texts),
        );
        $main = $this->plan->parts(Plan::ROOT);
        $sections = [];
        foreach ($branch === Plan::ROOT ? $main : array_intersect($main, [$branch]) as $section) {
            $sections[$section] = implode("\n", array_map(static fn(string $id): string => $texts[$id], $this->plan->branch($section)));
        }
        $untaken = [];
        foreach (Untaken::of($tongue, "{$this->plan->title()} {$this->row->properties()->subtitle}", $sections) as $section => $words) {
            $untaken[] = ['section' => $this->called((string) $section), 'words' => $words];
        }

        $chosen = $this->row->properties()->terms;

        return [
            'terms' => $terms,
            'untaken' => $untaken,
            'chosen' => array_values(array_map(
                static fn(int|string $words, string $says): array => [(string) $words, $says],
                array_keys($chosen),
                $chosen,
            )),
        ];
    }

    /**
     * The main sentences of a branch, up to a number of words.
     *
     * @return array{of: int, words: int, sentences: list<array{text: string, from: array{string, string}, block: string}>} of: how many words the branch has
     */
    public function shorter(string $branch, int $words): array
    {
        $language = $this->row->language;
        $sayings = [];
        foreach ($this->notes($this->plan->branch($branch)) as $id => $note) {
            array_push($sayings, ...Sayings::of((string) $id, $note, $language));
        }
        $count = static fn(array $some): int => array_sum(array_map(static fn(Saying $one): int => Words::in($one->text), $some));
        $chosen = MainSentences::of(Tongue::of($language), $sayings, $words);

        return [
            'of' => $count($sayings),
            'words' => $count($chosen),
            'sentences' => array_map(
                fn(Saying $one): array => ['text' => $one->text, 'from' => $this->called($one->topic), 'block' => $one->block],
                $chosen,
            ),
        ];
    }

    /**
     * The first draft of one section of a branch.
     *
     * @param string $section '' the first of the branch
     *
     * @return array<string, mixed>
     */
    public function firstDraft(string $branch, string $section = ''): array
    {
        $sections = FirstDraft::sections($this->plan, $branch);
        $section = \in_array($section, $sections, true) ? $section : $sections[0] ?? '';
        if ($section === '') {
            return ['sections' => [], 'section' => null];
        }
        $rows = new PlanRows();
        $ids = \array_slice($this->plan->branch($section), 0, self::NOTES);
        $plan = $rows->withRelations(
            $rows->withSources($rows->withNotes($this->plan, $this->row->id, $ids), $this->row->id),
            $this->row->id,
        );
        $sketch = FirstDraft::of($plan, $section);

        return [
            'sections' => array_map($this->called(...), $sections),
            'section' => $this->called($section),
            'isWritten' => $this->plan->topic($section)->words > 0,
            'hasOwn' => $sketch->hasOwn(),
            'paragraphs' => $this->shown($sketch, $plan),
            'blocks' => array_map(static fn(Node $block): array => $block->toArray(), $sketch->blocks(new NewIds())),
            'used' => $this->used($sketch, $section),
        ];
    }

    /** @return list<list<array<string, mixed>>> paragraphs of pieces, each with what it is and where it comes from */
    private function shown(Sketch $sketch, Plan $plan): array
    {
        $words = new InWords($plan);

        return array_map(fn(array $part): array => array_map(fn(Piece $piece): array => [
            'what' => $piece->what,
            'text' => implode('', array_map(static fn(Node $node): string => $words->node($node)->plainText(true), $piece->nodes)),
            'from' => $this->called($piece->from),
        ], $part), $sketch->parts);
    }

    /** @return list<string> the points whose words went into it */
    private function used(Sketch $sketch, string $section): array
    {
        $from = array_unique(array_map(static fn(Piece $piece): string => $piece->from, $sketch->pieces()));

        return array_values(array_filter(
            $from,
            fn(string $id): bool => $id !== $section && $this->plan->topic($id)->kind !== Kind::Aside,
        ));
    }

    /** @return array{string, string} a topic, and how it is called */
    private function called(string $id): array
    {
        return [$id, $this->numbering->titled($this->plan->topic($id))];
    }

    /**
     * Titles and notes as texts, in reading order.
     *
     * @param list<string> $ids
     *
     * @return array<string, string>
     */
    private function texts(array $ids): array
    {
        $texts = array_combine($ids, array_map(fn(string $id): string => $this->plan->topics[$id]->title, $ids));
        $query = DB::table('notes')->where('plan_id', $this->row->id)->select(['topic_id', 'plain']);
        if (\count($ids) < self::CHUNK) {
            $query->whereIn('topic_id', $ids);
        }
        foreach ($query->cursor() as $note) {
            if (isset($texts[$note->topic_id])) {
                $texts[$note->topic_id] .= "\n{$note->plain}";
            }
        }

        return $texts;
    }

    /**
     * @param list<string> $ids
     *
     * @return \Generator<string, Note> in their order
     */
    private function notes(array $ids): \Generator
    {
        $noted = array_values(array_filter($ids, fn(string $id): bool => $this->plan->topics[$id]->words > 0));
        foreach (array_chunk(\array_slice($noted, 0, self::NOTES), self::CHUNK) as $chunk) {
            $bodies = DB::table('notes')->where('plan_id', $this->row->id)->whereIn('topic_id', $chunk)->pluck('body', 'topic_id');
            foreach ($chunk as $id) {
                if (isset($bodies[$id])) {
                    yield $id => Note::fromJson($bodies[$id]);
                }
            }
        }
    }
}
