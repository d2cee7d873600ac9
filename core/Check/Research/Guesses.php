<?php

declare(strict_types=1);

namespace Embrel\Check\Research;

use Embrel\Citation\Cited;
use Embrel\Citation\Duplicates;
use Embrel\Citation\Matching;
use Embrel\Citation\Source;
use Embrel\Citation\TypedSource;
use Embrel\Id\Ids;
use Embrel\Plan\Kind;
use Embrel\Plan\Plan;

/**
 * Which topics look like research: a bare address, quotation marks around the whole, a page, a chapter, a year
 * in brackets, a line that names a source.
 */
final class Guesses
{
    private readonly Duplicates $duplicates;

    /** @var array<string, Source> those of the plan, and those that lines made */
    private array $sources;

    private function __construct(private readonly Plan $plan, private readonly Ids $ids)
    {
        $this->sources = $plan->sources;
        $this->duplicates = new Duplicates($plan->sources);
    }

    /**
     * @param Plan              $plan with its sources
     * @param list<string>|null $of   topics to be looked at, whatever they look like; null: all that look like research
     *
     * @return list<Guess> in reading order
     */
    public static function of(Plan $plan, Ids $ids, ?array $of = null): array
    {
        return (new self($plan, $ids))->found($of);
    }

    /**
     * @param list<string>|null $of
     *
     * @return list<Guess>
     */
    private function found(?array $of): array
    {
        $signs = [];
        $matching = new Matching($this->plan->sources);
        foreach ($of ?? $this->plan->standing() as $id) {
            $topic = $this->plan->topic($id);
            $sign = $topic->title === '' || ($topic->kind === Kind::Aside && $of === null) ? null : Signs::of($topic->title, $matching);
            if ($sign !== null || $of !== null) {
                $signs[$id] = $sign;
            }
        }
        $guesses = array_fill_keys(array_keys($signs), null);
        // Whole references first: they make the sources that short ones and quotations name.
        foreach ([true, false] as $whole) {
            foreach ($signs as $id => $sign) {
                if ($sign !== Sign::Quotation && $guesses[$id] === null && (!$whole || $this->isWhole($id))) {
                    $guesses[$id] = $this->reference($id, $sign, $matching);
                }
            }
            $matching = new Matching($this->sources);
        }
        foreach ($signs as $id => $sign) {
            $guesses[$id] ??= $this->quotation($id, $guesses, $matching);
        }

        return array_values(array_filter($guesses));
    }

    /** Whether a line says who and what. */
    private function isWhole(string $id): bool
    {
        $source = TypedSource::read($this->plan->topic($id)->title, '')->source;

        return $source->people() !== [] && $source->title !== '';
    }

    private function reference(string $id, ?Sign $sign, Matching $matching): Guess
    {
        $title = $this->plan->topic($id)->title;
        $cited = $matching->of($title);
        if ($cited !== null) {
            return new Guess($id, $sign ?? Sign::KnownSource, $cited, null, $cited->pages, $title);
        }
        $typed = TypedSource::read($title, $this->ids->next());
        $same = $this->duplicates->of($typed->source);
        if ($same !== null) {
            return new Guess($id, $sign, new Cited($same, $typed->pages), null, $typed->pages, $title);
        }
        if ($sign !== null) {
            $this->sources[$typed->source->id] = $typed->source;
            $this->duplicates->add($typed->source);
        }

        return new Guess($id, $sign, null, $typed->source, $typed->pages, $title);
    }

    /** @param array<string, Guess|null> $guesses those made already */
    private function quotation(string $id, array $guesses, Matching $matching): Guess
    {
        $title = Signs::unmarked($this->plan->topic($id)->title);
        $end = $matching->atEnd($title);
        if ($end !== null) {
            return new Guess($id, Sign::Quotation, $end[1], null, $end[1]->pages, $end[0]);
        }
        // Under it, or right after it, may stand where it comes from.
        $siblings = $this->plan->parts((string) $this->plan->parent($id));
        $after = $siblings[(int) array_search($id, $siblings, true) + 1] ?? '';
        foreach ([...$this->plan->parts($id), $after] as $beside) {
            $guess = $guesses[$beside] ?? null;
            if ($guess !== null && $guess->sign !== null && $guess->sign !== Sign::Quotation) {
                return new Guess(
                    $id,
                    Sign::Quotation,
                    new Cited($guess->source->id ?? ($guess->cited->source ?? ''), $guess->pages),
                    null,
                    $guess->pages,
                    $title,
                );
            }
        }

        return new Guess($id, Sign::Quotation, null, null, '', $title);
    }
}
