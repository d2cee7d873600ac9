<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl\Element;

use Embrel\Citation\Csl\Dress;
use Embrel\Citation\Csl\Printing;

/** Elements with something between them; nothing of it is said when every variable that it calls is empty. */
final class Group extends Element
{
    public function __construct(Dress $dress, private readonly Row $row, private readonly string $delimiter)
    {
        $this->dress = $dress;
    }

    public function pruned(Pruning $pruning): array
    {
        $row = $pruning->row($this->row);

        return $row->elements === [] ? [] : [new self($this->dress, $row, $this->delimiter)];
    }

    protected function says(Printing $printing): string
    {
        return $printing->group($this->row, $this->delimiter);
    }
}
