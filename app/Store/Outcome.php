<?php

declare(strict_types=1);

namespace App\Store;

use Embrel\Difference\Difference;

/** What came of a batch: how the plan looks before and after it, and what was refused. */
final readonly class Outcome
{
    /**
     * @param list<array{id: string, reason: string, message: string}> $refused
     * @param string|null                                              $says    what the last change did; null where there was none
     * @param array<string, array{int|null, int}>                      $notes   topic whose note was written → its revision before
     *                                                                          and after; null before where others' words came in
     * @param list<Change>                                             $asked   all that were sent, repeated and refused ones too
     * @param bool                                                     $isWhole whether the plan is all there, or only what was changed
     * @param Difference                                               $did     all that was done, as one, where the plan is not whole
     */
    public function __construct(
        public Sight $before,
        public Sight $after,
        public int $from,
        public int $revision,
        public array $refused,
        public ?string $says,
        public array $notes = [],
        public array $asked = [],
        public bool $isWhole = true,
        public Difference $did = new Difference(),
    ) {}

    /** @return list<string> what the changes name, topics among it: the page may show them elsewhere than they came to stand */
    public function named(): array
    {
        return array_values(array_unique(array_merge(...array_map(static fn(Change $change): array => $change->named(), $this->asked))));
    }
}
