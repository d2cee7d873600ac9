<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl\Element;

use Embrel\Citation\Csl\Dress;
use Embrel\Citation\Csl\Printing;

/** What is left of elements whose variables are all empty: that a group around them has called one. */
final class Silent extends Element
{
    public function __construct()
    {
        $this->dress = Dress::of([]);
    }

    public function into(array &$row, Printing $printing): void
    {
        $printing->called = true;
    }

    protected function says(Printing $printing): string
    {
        $printing->called = true;

        return '';
    }
}
