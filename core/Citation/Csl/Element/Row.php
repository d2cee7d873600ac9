<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl\Element;

use Embrel\Citation\Csl\Flat;
use Embrel\Citation\Csl\Printing;

/** Elements one after the other: a macro, a layout, the branch of a choice. */
final class Row
{
    /** @var list<Element> */
    public array $elements = [];

    public function render(Printing $printing, string $between = ''): string
    {
        $row = [];
        $this->into($row, $printing);

        return Flat::row($row, $between, $printing->locale->inside);
    }

    /** @param list<string> $row */
    public function into(array &$row, Printing $printing): void
    {
        foreach ($this->elements as $element) {
            $element->into($row, $printing);
        }
    }
}
