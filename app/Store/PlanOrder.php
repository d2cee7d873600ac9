<?php

declare(strict_types=1);

namespace App\Store;

use App\Models\Plan as PlanRow;
use Illuminate\Database\Eloquent\Collection;

/** In which order a list of plans stands. */
enum PlanOrder: string
{
    case Changed = 'changed';
    case Due = 'due';
    case Title = 'title';
    case Progress = 'progress';

    public function label(): string
    {
        return match ($this) {
            self::Changed => 'Changed last',
            self::Due => 'Due first',
            self::Title => 'Title',
            self::Progress => 'Furthest along',
        };
    }

    /**
     * @param Collection<int, PlanRow> $plans those changed last first
     *
     * @return Collection<int, PlanRow>
     */
    public function of(Collection $plans): Collection
    {
        $collator = new \Collator('en');
        $collator->setAttribute(\Collator::NUMERIC_COLLATION, \Collator::ON);

        return match ($this) {
            self::Changed => $plans,
            // What is never due comes last.
            self::Due => $plans->sortBy(static fn(PlanRow $plan): string => $plan->due_on?->format('Y-m-d') ?? '~')->values(),
            self::Title => $plans->sort(static fn(PlanRow $a, PlanRow $b): int => (int) $collator->compare($a->title, $b->title))->values(),
            self::Progress => $plans->sortByDesc(static fn(PlanRow $plan): float => self::progress($plan))->values(),
        };
    }

    /** Of its target; a plan without one has no progress that could be compared. */
    private static function progress(PlanRow $plan): float
    {
        return $plan->target_words === null || $plan->target_words === 0 ? -1.0 : $plan->words / $plan->target_words;
    }
}
