<?php

declare(strict_types=1);

namespace App\Store;

use Embrel\Layout\Strip;
use Embrel\Numbering\Numbering;
use Embrel\Plan\Comparison;
use Embrel\Plan\Plan;
use Embrel\Plan\WordTotals;

/** What is computed of a plan to be shown: each once, and only when it is asked for. */
final class Sight
{
    private ?Numbering $numbering = null;
    private ?WordTotals $totals = null;
    private bool $sameNumbers = false;
    private bool $sameWords = false;
    private bool $sameStrip = false;

    /** @param list<array<string, mixed>>|null $strip and words as they are stored, where they are known */
    private function __construct(
        public readonly Plan $plan,
        private readonly ?self $before,
        private readonly ?array $strip = null,
        private readonly ?int $words = null,
        public readonly ?Comparison $comparison = null,
    ) {}

    /** @param list<array<string, mixed>>|null $strip */
    public static function of(Plan $plan, ?array $strip = null, ?int $words = null): self
    {
        return new self($plan, null, $strip, $words);
    }

    /** That of a later state of the plan; what the changes between them cannot have touched is taken over. */
    public function after(Plan $plan, ?Comparison $comparison = null): self
    {
        $comparison ??= Comparison::between($this->plan, $plan);
        $after = new self($plan, $this, comparison: $comparison);
        $after->sameWords = $comparison->isSameTree();
        $after->sameNumbers = $after->sameStrip = $comparison->isSameTree() && !$comparison->hasOtherProperties;
        foreach ($comparison->isSameTree() ? $comparison->changed : [] as $id => $_) {
            $was = $this->plan->topics[$id] ?? null;
            $topic = $plan->topics[$id];
            $after->sameNumbers = $after->sameNumbers && $was?->kind === $topic->kind && $was->numbered === $topic->numbered;
            $after->sameWords
                = $after->sameWords
                && $was?->kind === $topic->kind
                && $was->words === $topic->words
                && $was->noted === $topic->noted
                && $was->target?->words === $topic->target?->words;
            $after->sameStrip = $after->sameStrip && $plan->parent($id) !== Plan::ROOT;
        }

        return $after;
    }

    public function numbering(): Numbering
    {
        return $this->numbering ??= $this->sameNumbers && $this->before !== null ? $this->before->numbering() : Numbering::of($this->plan);
    }

    public function totals(): WordTotals
    {
        return $this->totals ??= $this->sameWords && $this->before !== null ? $this->before->totals() : WordTotals::of($this->plan);
    }

    public function hasSameNumbersAs(?self $before): bool
    {
        return $before !== null && $this->before === $before && $this->sameNumbers;
    }

    public function hasSameWordsAs(?self $before): bool
    {
        return $before !== null && $this->before === $before && $this->sameWords;
    }

    /** Whether the strip and the sum of words look as they did. */
    public function hasSameStripAs(?self $before): bool
    {
        return $this->hasSameNumbersAs($before) && $this->hasSameWordsAs($before) && $this->sameStrip;
    }

    public function words(): int
    {
        return $this->before?->words !== null && $this->sameWords ? $this->before->words : $this->totals()->words(Plan::ROOT);
    }

    /** @return list<array<string, mixed>> */
    public function strip(): array
    {
        if ($this->before?->strip !== null && $this->sameNumbers && $this->sameWords) {
            return array_map(
                fn(array $section): array => [
                    'title' => $this->plan->topic($section['id'])->title,
                    'dye' => $this->plan->topic($section['id'])->dye->value ?? 'slate',
                ] + $section,
                $this->before->strip,
            );
        }

        return Strip::of($this->plan, Numbering::of($this->plan, depth: 1), $this->totals())->sections;
    }
}
