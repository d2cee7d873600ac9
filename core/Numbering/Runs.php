<?php

declare(strict_types=1);

namespace Embrel\Numbering;

use Embrel\Plan\Comparison;
use Embrel\Plan\Plan;
use Embrel\Plan\Scheme;

/**
 * Numbers as runs: one for each parent, from the first part whose number differs to the last, so
 * that a move that shifts many costs little to send. Where a whole branch counts on under another
 * number, that is all that is said: what stood before the dot, and what stands there now.
 *
 * @phpstan-type Run array{parent: string, from: int, own: list<string>}
 * @phpstan-type Carried array{under: string, was: string, is: string}
 * @phpstan-type Frame array{string, int, string, string, bool}
 */
final class Runs
{
    /** @var list<Run> */
    private array $runs = [];
    /** @var list<Carried> */
    private array $carried = [];

    private function __construct(private readonly Plan $plan) {}

    /** @return list<Run> every number of the plan */
    public static function all(Plan $plan): array
    {
        return self::compared($plan, Numbering::of($plan)->own, []);
    }

    /**
     * The numbers that are others than before; only what a change can have touched is counted again.
     * Of topics that moved all are told; of new ones those that have a number.
     *
     * @return list<Run|Carried>
     */
    public static function since(Plan $before, Plan $after, Comparison $comparison): array
    {
        if ($comparison->hasOtherProperties || $after->properties->runOn) {
            $was = array_diff_key(Numbering::of($before)->own, array_fill_keys($comparison->moved, true));

            return self::compared($after, Numbering::of($after)->own, $was, $comparison->moved);
        }
        $runs = new self($after);
        $scheme = $after->properties->scheme;
        $depth = $after->properties->depth;
        $counting = new Counting($after, $scheme, $depth, false);
        if ($scheme !== Scheme::None) {
            $runs->walk($before, $comparison, new Counting($before, $scheme, $depth, false), $counting);
        }
        foreach ($comparison->moved as $id) {
            if (!isset($counting->own[$id]) && isset($before->topics[$id])) {
                $runs->blank($id);
            }
        }

        return [...$runs->carried, ...$runs->ofWhatIsThere()];
    }

    /** @return list<Run> nothing of what was removed: nobody sees its numbers */
    private function ofWhatIsThere(): array
    {
        return array_values(array_filter($this->runs, fn(array $run): bool => $this->plan->isLive($run['parent'])));
    }

    private function walk(Plan $before, Comparison $comparison, Counting $old, Counting $new): void
    {
        [$touched, $above] = $this->touched($before, $comparison);
        $moved = array_fill_keys($comparison->moved, true);
        /** @var list<array{Frame, Frame|null}> $open each with its frame before; null: all under it is told */
        $open = [[Counting::START, Counting::START]];
        while ($open !== []) {
            [$frame, $was] = array_pop($open);
            $parent = $frame[0];
            $isSame = $was !== null && $frame[2] === $was[2] && $frame[4] === $was[4];
            $below = $new->parts($frame);
            $belowBefore = $was === null ? [] : $old->parts($was);
            if (!$isSame || isset($touched[$parent])) {
                $this->compare($parent, $new->own, $was === null ? null : $old->own, $moved);
            }
            foreach ($this->plan->parts($parent) as $id) {
                $wasBelow = isset($moved[$id]) ? null : $belowBefore[$id] ?? null;
                if (!isset($below[$id])) {
                    if ($wasBelow !== null || $was === null || (isset($moved[$id]) && isset($before->topics[$id]))) {
                        $this->blankUnder($id);
                    }
                } elseif ($wasBelow === null || $wasBelow[4] !== $below[$id][4] || isset($above[$id])) {
                    $open[] = [$below[$id], $wasBelow];
                } elseif ($wasBelow[2] !== $below[$id][2]) {
                    if ($this->isCarried($id)) {
                        $this->carried[] = ['under' => $id, 'was' => $wasBelow[2], 'is' => $below[$id][2]];
                    } else {
                        $open[] = [$below[$id], $wasBelow];
                    }
                }
            }
        }
    }

    /** Whether all numbers under a topic, where nothing has changed, are its own and a dot and what they were; one alone is a run. */
    private function isCarried(string $id): bool
    {
        $parts = $this->plan->parts($id);

        return !\in_array($this->plan->properties->scheme, [Scheme::Essay, Scheme::Own], true)
            && (isset($parts[1]) || isset($this->plan->parts[$parts[0]]));
    }

    /**
     * @return array{array<string, true>, array<string, true>} parents whose parts may count otherwise, and all that are such or stand above one
     */
    private function touched(Plan $before, Comparison $comparison): array
    {
        $touched = array_fill_keys($comparison->regrouped, true);
        foreach ($comparison->changed as $id => $_) {
            $was = $before->topics[$id] ?? null;
            $is = $this->plan->topics[$id];
            if ($was !== null && isset($this->plan->parents[$id]) && ($was->kind !== $is->kind || $was->numbered !== $is->numbered)) {
                $touched[$this->plan->parents[$id]] = true;
            }
        }
        $above = $touched;
        foreach ($touched as $id => $_) {
            for ($at = $this->plan->parent((string) $id); $at !== null && !isset($above[$at]); $at = $this->plan->parent($at)) {
                $above[$at] = true;
            }
        }

        return [$touched, $above];
    }

    /**
     * @param array<string, string>      $own
     * @param array<string, string>|null $was   null: none of them is known
     * @param array<string, true>        $moved of which the one before counts for nothing
     */
    private function compare(string $parent, array $own, ?array $was, array $moved): void
    {
        $from = null;
        $last = 0;
        $parts = $this->plan->parts($parent);
        foreach ($parts as $i => $id) {
            if ($was === null || isset($moved[$id]) || ($own[$id] ?? '') !== ($was[$id] ?? '')) {
                $from ??= $i;
                $last = $i;
            }
        }
        if ($from !== null) {
            $run = [];
            for ($i = $from; $i <= $last; ++$i) {
                $run[] = $own[$parts[$i]] ?? '';
            }
            $this->runs[] = ['parent' => $parent, 'from' => $from, 'own' => $run];
        }
    }

    private function blank(string $id): void
    {
        $this->compare((string) $this->plan->parent($id), [], [], [$id => true]);
        $this->blankUnder($id);
    }

    private function blankUnder(string $id): void
    {
        if (!isset($this->plan->parts[$id])) {
            return;
        }
        foreach ($this->plan->branch($id) as $parent) {
            $this->compare($parent, [], null, []);
        }
    }

    /**
     * @param array<string, string> $own
     * @param array<string, string> $was
     * @param list<string>          $moved
     *
     * @return list<Run>
     */
    private static function compared(Plan $plan, array $own, array $was, array $moved = []): array
    {
        $runs = new self($plan);
        $told = [];
        foreach ($moved as $id) {
            $told += array_fill_keys($plan->branch($id), true);
        }
        foreach ($plan->parts as $parent => $_) {
            $runs->compare((string) $parent, $own, $was, $told);
        }

        return $runs->ofWhatIsThere();
    }
}
