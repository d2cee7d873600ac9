<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl\Element;

use Embrel\Citation\Csl\Dress;
use Embrel\Citation\Csl\Printing;

/** What is left of elements whose variables are all empty: that a group around them has called one. */
final class Silent extends Element
{
    /** @param bool $begins whether names or a number are missing: what follows is not the beginning then */
    public function __construct(public readonly bool $begins = false)
    {
        $this->dress = Dress::of([]);
    }

    protected function says(Printing $printing): string
    {
        $printing->called = true;
        $printing->began = $printing->began || $this->begins;

        return '';
    }
}
