<?php

declare(strict_types=1);

namespace App\Store;

use App\Access\Access;
use App\Models\Plan as PlanRow;
use App\Models\User;
use Embrel\Check\Citing;
use Embrel\Citation\Cited;
use Embrel\Citation\Duplicates;
use Embrel\Citation\Label;
use Embrel\Citation\References;
use Embrel\Citation\Source;
use Embrel\Citation\SourceForm;
use Embrel\Citation\Terms;
use Embrel\Operation\AddSources;
use Embrel\Operation\AddTopics;
use Embrel\Operation\Compound;
use Embrel\Operation\Operation;
use Embrel\Plan\Plan;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;
use Embrel\RichText\Note;
use Embrel\Writer\Html\HtmlWriter;
use Illuminate\Support\Facades\DB;

/** The sources of a plan as its pages show them. */
final class PlanSources
{
    private const MOST_OFFERED = 50;

    /** @return list<array{id: string, title: string, label: string}> what the editor must know of each */
    public static function labels(PlanRow $row): array
    {
        $terms = Terms::of($row->language);

        return array_values(
            array_map(
                static fn(Source $source): array => [
                    'id' => $source->id,
                    'title' => $source->title,
                    'label' => Label::ofSource($source, $terms),
                ],
                PlanRows::sources($row->id),
            ),
        );
    }

    /**
     * Every source with its entry in the list of references, where it is cited, and which other it may be the same as.
     *
     * @param Plan $plan with its notes and sources
     *
     * @return array<string, mixed>
     */
    public static function list(PlanRow $row, Plan $plan): array
    {
        $citing = Citing::of($plan);
        $printed = self::printed($plan);
        $entries = self::entries($printed);
        $duplicates = new Duplicates($plan->sources);
        $terms = Terms::of($plan->properties->language);
        $attached = Attachments::of($row->id);
        $sources = [];
        // In the order of the list; what is not listed stands last.
        foreach (array_keys($entries + $plan->sources) as $id) {
            $source = $plan->sources[$id];
            $sources[] = [
                'source' => SourceForm::toArray($source),
                'label' => Label::ofSource($source, $terms),
                'entry' => $entries[$id] ?? '',
                'cited' => array_count_values($citing->places[$id] ?? []),
                'like' => $duplicates->of($source),
                'files' => $attached[$id] ?? [],
            ];
        }

        $style = $plan->properties->citationStyle;

        return [
            'sources' => $sources,
            'unsourced' => $citing->unsourced,
            'style' => ['key' => $style->key, 'label' => $style->label()],
            'said' => $printed->isStandIn ? References::STANDS_IN : '',
        ];
    }

    private static function printed(Plan $plan): References
    {
        return References::of(
            $plan->properties->citationStyle,
            $plan->properties->language,
            $plan->sources,
            array_map(static fn(Source $source): array => [new Cited($source->id)], array_values($plan->sources)),
        );
    }

    /** @return array<string, string> source → its entry in the style of the plan, as HTML */
    private static function entries(References $references): array
    {
        $writer = new HtmlWriter();
        $entries = [];
        foreach ($references->list as ['source' => $source, 'runs' => $runs]) {
            $entries[$source->id] = $writer->inlines($runs);
        }

        return $entries;
    }

    /** @return array{label: string, printed: string} how a citation is called in the editor, and how it would be printed, as HTML */
    public static function cited(PlanRow $row, Node $citation): array
    {
        $items = Cited::of($citation);
        $sources = PlanRows::sources($row->id);
        $references = References::of($row->properties()->citationStyle, $row->language, $sources, [$items]);

        return [
            'label' => Label::of($items, $sources, Terms::of($row->language)),
            'printed' => (new HtmlWriter())->inlines($references->citations[0]),
        ];
    }

    /**
     * How the citations of a note are called in the editor.
     *
     * @return array<string, string> the items of a citation, as JSON → label
     */
    public static function called(PlanRow $row, Note $note): array
    {
        $labels = [];
        $sources = null;
        foreach ($note->find(NodeType::Citation) as $citation) {
            $sources ??= PlanRows::sources($row->id);
            $labels[
                json_encode(
                    $citation->attrs['items'],
                    JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_LINE_TERMINATORS | JSON_THROW_ON_ERROR,
                )
            ] = Label::of(Cited::of($citation), $sources, Terms::of($row->language));
        }

        return $labels;
    }

    /**
     * Topics that come from elsewhere, and with them the sources that their notes cite, or all.
     *
     * @param array<string, Source> $from the sources of where they come from
     */
    public static function along(PlanRow $row, array $from, AddTopics $add, bool $all = false): Operation
    {
        $cited = $all ? $from : [];
        foreach ($all ? [] : $add->rows as ['topic' => $topic]) {
            foreach ($topic->note?->find(NodeType::Citation) ?? [] as $citation) {
                foreach (Cited::of($citation) as $item) {
                    $cited += isset($from[$item->source]) ? [$item->source => $from[$item->source]] : [];
                }
            }
        }
        $new = array_values(array_diff_key($cited, PlanRows::sources($row->id)));

        return $new === [] ? $add : new Compound([new AddSources($new), $add]);
    }

    /**
     * Sources of the person's other plans that this one does not have, by what was typed.
     *
     * @return list<array<string, mixed>>
     */
    public static function elsewhere(PlanRow $row, User $user, string $typed): array
    {
        $here = new Duplicates(PlanRows::sources($row->id));
        $found = DB::table('sources')
            ->join('plans', 'plans.id', '=', 'sources.plan_id')
            ->whereIn('plans.id', Access::readable($user->id)->select('id'))
            ->where('plans.id', '!=', $row->id)
            ->whereNull('sources.removed_at')
            ->where(static function ($query) use ($typed): void {
                foreach (array_filter(explode(' ', $typed)) as $word) {
                    $like = '%' . addcslashes($word, '%_\\') . '%';
                    $query->where(
                        static fn($either) => $either->where('sources.title', 'like', $like)->orWhere('sources.body', 'like', $like),
                    );
                }
            })
            ->orderBy('sources.title')
            ->limit(4 * self::MOST_OFFERED)
            ->get(['sources.id', 'sources.title', 'sources.body', 'plans.title as plan']);
        $offered = [];
        foreach ($found as $one) {
            $source = PlanRows::source($one);
            if ($here->of($source) === null && !isset($offered[$source->id]) && \count($offered) < self::MOST_OFFERED) {
                $here->add($source);
                $offered[$source->id] = [
                    'source' => SourceForm::toArray($source),
                    'label' => Label::ofSource($source, Terms::of($row->language)),
                    'plan' => $one->plan,
                ];
            }
        }

        return array_values($offered);
    }
}
