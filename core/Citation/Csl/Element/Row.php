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

    /** @param list<Element> $elements */
    public static function of(array $elements): self
    {
        $row = new self();
        $row->elements = $elements;

        return $row;
    }

    public function render(Printing $printing, string $between = ''): string
    {
        $row = [];
        $this->into($row, $printing);

        return Flat::row($row, $between, $printing->locale->inside);
    }

    /**
     * Whether it calls variables, all of which are empty, and has nothing but words beside: a group of it says nothing.
     */
    public function isSilent(): bool
    {
        $calls = false;
        foreach ($this->elements as $element) {
            $calls = $calls || $element instanceof Silent;
            if (!$element instanceof Silent && !$element instanceof Words && !$element instanceof Label) {
                return false;
            }
        }

        return $calls;
    }

    /** @param list<string> $row */
    public function into(array &$row, Printing $printing): void
    {
        foreach ($this->elements as $element) {
            $element->into($row, $printing);
        }
    }
}
