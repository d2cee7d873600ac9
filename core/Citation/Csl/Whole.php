<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl;

/** What a citation and an entry must know of the whole work. */
final readonly class Whole
{
    /**
     * @param array<string, Item> $items
     * @param array<string, int>  $numbers item → its number in the list
     * @param array<string, Told> $told    item → what tells it from others
     */
    public function __construct(public Style $style, public array $items, public array $numbers, public array $told) {}

    public function printing(string $id, ?Cite $cite): Printing
    {
        return new Printing($this->style, $this->items[$id], $cite, $this->numbers[$id] ?? 0);
    }
}
