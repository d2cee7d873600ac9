<?php

declare(strict_types=1);

namespace Embrel\Layout\Map;

/**
 * The sizes of what is laid out: a forest as lists side by side, in reading order, so that every
 * topic stands after the one it is a part of. The trees are the main sections.
 */
final readonly class Boxes
{
    /**
     * @param list<int>   $parents position of the one it is a part of; -1 for a main section
     * @param list<float> $widths  from the middle of its floret to where its stalks begin
     * @param list<float> $heights
     */
    public function __construct(public array $parents, public array $widths, public array $heights) {}

    /** These and others behind them. */
    public function and(self $other): self
    {
        $count = \count($this->parents);

        return new self(
            [...$this->parents, ...array_map(static fn(int $parent): int => $parent < 0 ? -1 : $parent + $count, $other->parents)],
            [...$this->widths, ...$other->widths],
            [...$this->heights, ...$other->heights],
        );
    }

    /** @return list<array{int, int}> of each tree its first position, and the one after its last */
    public function trees(): array
    {
        $trees = [];
        $from = null;
        foreach ($this->parents as $i => $parent) {
            if ($parent < 0) {
                if ($from !== null) {
                    $trees[] = [$from, $i];
                }
                $from = $i;
            }
        }
        if ($from !== null) {
            $trees[] = [$from, \count($this->parents)];
        }

        return $trees;
    }
}
