<?php

declare(strict_types=1);

namespace Embrel\Check\Research;

use Embrel\Citation\Cited;
use Embrel\Citation\Pages;
use Embrel\Citation\Source;
use Embrel\Operation\AddSources;
use Embrel\Operation\Compound;
use Embrel\Operation\DissolveTopics;
use Embrel\Operation\EditSource;
use Embrel\Operation\FoldAs;
use Embrel\Operation\FoldTopics;
use Embrel\Operation\Operation;
use Embrel\Operation\Retitle;
use Embrel\Operation\SetField;
use Embrel\Plan\Field;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;
use Embrel\RichText\Node;
use Embrel\RichText\NodeType;

/** What is done with one topic that is sorted out: one operation, so that one undo takes it back. */
final class Sorted
{
    /**
     * @param Plan        $plan   with its sources, as it is when the topic's turn comes
     * @param string|null $into   of Filing::Note: the topic whose note takes it
     * @param Source|null $source of Filing::Source: the fields as they were confirmed, instead of those guessed
     * @param string      $seed   a ULID for what is new
     * @param array<string, Source> $drafts sources that other lines make, by id: a quotation may come from one
     */
    public static function operation(
        Plan $plan,
        Guess $guess,
        Filing $filing,
        ?string $into,
        ?Source $source,
        string $seed,
        array $drafts = [],
    ): Operation {
        return match ($filing) {
            Filing::Quote => self::quote($plan, $guess, null, $seed, $drafts),
            Filing::Note => $guess->sign === Sign::Quotation
                ? self::quote($plan, $guess, $into, $seed, $drafts)
                : new FoldTopics([$guess->topic], $into, FoldAs::Paragraphs, $seed),
            Filing::Aside => new SetField(Field::Kind, [$guess->topic], Kind::Aside),
            Filing::Source => self::source($plan, $guess, $source),
        };
    }

    /** @param array<string, Source> $drafts */
    private static function quote(Plan $plan, Guess $guess, ?string $into, string $seed, array $drafts): Operation
    {
        $cite = $guess->cited === null ? [] : [$guess->topic => self::citation($guess->cited)];
        $fold = new FoldTopics([$guess->topic], $into, FoldAs::Quotations, $seed, $cite);

        $draft = $guess->cited === null || isset($plan->sources[$guess->cited->source]) ? null : $drafts[$guess->cited->source] ?? null;
        // What named the source in brackets is said by the citation now, and what marked it as quoted by the quotation.
        $retitled = $guess->text !== '' && $guess->text !== $plan->topic($guess->topic)->title;

        return new Compound([
            ...$draft === null ? [] : [new AddSources([$draft])],
            ...$retitled ? [new Retitle($guess->topic, $guess->text)] : [],
            $fold,
        ]);
    }

    private static function citation(Cited $cited): Node
    {
        return new Node(
            NodeType::Citation,
            ['items' => [['source' => $cited->source] + ($cited->pages === '' ? [] : ['pages' => $cited->pages])]],
        );
    }

    /** The source is added, or known already; the pages that the line gave and the words of its note stay with it as a remark. */
    private static function source(Plan $plan, Guess $guess, ?Source $confirmed): Operation
    {
        $source = $confirmed ?? $guess->source;
        $note = $plan->topic($guess->topic)->note?->plainText(true) ?? '';
        $remark = trim(
            ($guess->pages === ''
                ? ''
                : trim((Pages::arePages($guess->pages) ? 'p. ' : '') . "{$guess->pages}: " . self::under($plan, $guess->topic), ': '))
                . "\n{$note}",
        );
        $known = $plan->sources[$source->id ?? ($guess->cited->source ?? '')] ?? null;
        $source ??= new Source($guess->cited->source ?? $guess->topic, $plan->topic($guess->topic)->title);
        $steps = [];
        if ($known === null) {
            $steps[] = new AddSources([self::remarked($source, $remark)]);
        } elseif ($remark !== '') {
            $steps[] = new EditSource(self::remarked($known, $remark));
        }

        return new Compound([...$steps, new DissolveTopics([$guess->topic])]);
    }

    private static function under(Plan $plan, string $topic): string
    {
        $parent = $plan->parent($topic);

        return $parent === null || Plan::isFixed($parent) ? '' : $plan->topic($parent)->title;
    }

    private static function remarked(Source $source, string $remark): Source
    {
        return $remark === '' ? $source : $source->with(['remark' => trim("{$source->remark}\n{$remark}")]);
    }
}
