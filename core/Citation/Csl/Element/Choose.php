<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl\Element;

use Embrel\Citation\Csl\Dress;
use Embrel\Citation\Csl\Flat;
use Embrel\Citation\Csl\Printing;

/** The first branch whose conditions hold. */
final class Choose extends Element
{
    /** @param list<array{Condition|null, Row}> $branches */
    public function __construct(private readonly array $branches)
    {
        $this->dress = Dress::of([]);
    }

    public function pruned(Pruning $pruning): array
    {
        $branches = [];
        foreach ($this->branches as [$condition, $row]) {
            $condition = $condition === null ? true : $condition->of($pruning);
            if ($condition === true && $branches === []) {
                return $pruning->row($row)->elements;
            }
            if ($condition !== false) {
                $branches[] = [$condition === true ? null : $condition, $pruning->row($row)];
            }
            if ($condition === true) {
                break;
            }
        }

        return $branches === [] ? [] : [new self($branches)];
    }

    protected function says(Printing $printing): string
    {
        $row = [];
        $this->into($row, $printing);

        return Flat::row($row, '', $printing->locale->inside);
    }

    public function into(array &$row, Printing $printing): void
    {
        foreach ($this->branches as [$condition, $branch]) {
            if ($condition === null || $condition->holds($printing)) {
                $branch->into($row, $printing);

                return;
            }
        }
    }
}
