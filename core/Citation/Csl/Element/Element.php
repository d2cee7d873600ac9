<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl\Element;

use Embrel\Citation\Csl\Dress;
use Embrel\Citation\Csl\Printing;

/** One element of a layout. */
abstract class Element
{
    public Dress $dress;

    /** What it says, without what it puts around. */
    abstract protected function says(Printing $printing): string;

    public function render(Printing $printing): string
    {
        if ($this->dress->isPlain && !$printing->strips) {
            return $this->says($printing);
        }

        return $this->dress->alone(
            $this->says($printing),
            $printing,
            !$this instanceof Group,
            $this instanceof Words || $this instanceof Label,
            $this instanceof Group,
        );
    }

    /**
     * What is left of it for items of one shape.
     *
     * @return list<self>
     */
    public function pruned(Pruning $pruning): array
    {
        return [$this];
    }

    /**
     * Adds what it says to a row; a choice adds each of its parts.
     *
     * @param list<string> $row
     */
    public function into(array &$row, Printing $printing): void
    {
        $text = $this->render($printing);
        if ($text !== '') {
            $row[] = $text;
        }
    }
}
