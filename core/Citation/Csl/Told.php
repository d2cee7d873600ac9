<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl;

/** What tells the cites of one item from those of others. */
final class Told
{
    public string $letter = '';

    public bool $isAmbiguous = false;

    /**
     * @param list<int>       $counts list of names → how many are named
     * @param list<list<int>> $givens list of names → name → 1: with initials, 2: with the whole given name
     */
    public function __construct(public array $counts = [], public array $givens = []) {}
}
