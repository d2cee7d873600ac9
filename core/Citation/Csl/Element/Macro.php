<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl\Element;

use Embrel\Citation\Csl\Dress;
use Embrel\Citation\Csl\Printing;

/** What a macro says. */
final class Macro extends Element
{
    public function __construct(Dress $dress, private readonly Row $row)
    {
        $this->dress = $dress;
    }

    public function pruned(Pruning $pruning): array
    {
        $row = $pruning->row($this->row);

        return [new self($this->dress, $row)];
    }

    protected function says(Printing $printing): string
    {
        $strips = $printing->strips;
        $printing->strips = $strips || $this->dress->stripsPeriods();
        $text = $printing->group($this->row, '');
        $printing->strips = $strips;

        return $text;
    }
}
