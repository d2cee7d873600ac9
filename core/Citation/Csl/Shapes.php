<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl;

use Embrel\Citation\Csl\Element\Pruning;
use Embrel\Citation\Csl\Element\Row;

/** A row of a style, cut down once for each shape of items that it prints. */
final class Shapes
{
    /** How many are kept at one time: few libraries have more that are cited. */
    private const KEPT = 200;

    /** @var array<string, Row> */
    private array $rows = [];

    public function __construct(private readonly Row $row) {}

    public function of(Item $item): Row
    {
        if (!isset($this->rows[$item->shape])) {
            $this->rows = \count($this->rows) < self::KEPT ? $this->rows : [];
            $this->rows[$item->shape] = Pruning::of($item)->row($this->row);
        }

        return $this->rows[$item->shape];
    }
}
