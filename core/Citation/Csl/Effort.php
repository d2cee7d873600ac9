<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl;

/**
 * How much the printing in a style may cost. One that others wrote can be built so that a few sources would keep a page waiting, or fill
 * its memory; it is given up then.
 */
interface Effort
{
    /**
     * Asked before each cite, each entry and each key for sorting.
     *
     * @throws CslError when it is too much
     */
    public function goesOn(): void;
}
