<?php

declare(strict_types=1);

namespace Embrel\Plan;

/**
 * Words rolled up: for each topic those of its note and of everything under it that prints, and
 * how far they reach its target. An aside prints nothing, so it adds nothing to what is above it.
 */
final class WordTotals
{
    /** @var array<string, int> topic → words of its note and everything under it, where there are any */
    private array $words = [];
    /** @var array<string, int> topic → sum of the targets below it, where it has none of its own */
    private array $targets = [];
    /** @var array<string, true> topics in whose note something is written, or under which there is one */
    private array $noted = [];

    private function __construct(private readonly Plan $plan)
    {
        // From each topic that has something upwards: most have little, and no order is needed.
        foreach ($plan->topics as $id => $topic) {
            // A note without a word may be nothing but a question that waits for its answer.
            if ($topic->words > 0) {
                $this->addNote((string) $id, $topic->words);
            }
            if ($topic->target !== null) {
                $this->addTarget((string) $id, $topic->target->words);
            }
        }
    }

    public static function of(Plan $plan): self
    {
        return new self($plan);
    }

    private function addNote(string $id, int $words): void
    {
        for ($at = $id; $at !== null; $at = $this->plan->topics[$at]->kind === Kind::Aside ? null : $this->plan->parents[$at] ?? null) {
            $this->noted[$at] = true;
            $this->words[$at] = ($this->words[$at] ?? 0) + $words;
        }
    }

    private function addTarget(string $id, int $words): void
    {
        while ($this->plan->topics[$id]->kind !== Kind::Aside && isset($this->plan->parents[$id])) {
            $id = $this->plan->parents[$id];
            if ($this->plan->topics[$id]->target !== null) {
                return;
            }
            $this->targets[$id] = ($this->targets[$id] ?? 0) + $words;
        }
    }

    /** Of its note and everything under it. */
    public function words(string $id): int
    {
        return $this->words[$id] ?? 0;
    }

    /** Its own target, else the sum of those below; 0: none at all. */
    public function target(string $id): int
    {
        return $this->plan->topics[$id]->target->words ?? $this->targets[$id] ?? 0;
    }

    /** How far its floret is filled, 0 to 1. */
    public function filled(string $id): float
    {
        $target = $this->target($id);

        return $target > 0 ? min(1.0, $this->words($id) / $target) : (isset($this->noted[$id]) ? 1.0 : 0.0);
    }
}
