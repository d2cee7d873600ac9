<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl\Element;

/** The making of choices by type, for one type; a macro that stands in many places is gone through once. */
final class Pruning
{
    /** @var array<int, Row> */
    private array $rows = [];

    public function __construct(public readonly string $type) {}

    public function row(Row $row): Row
    {
        $id = spl_object_id($row);
        if (!isset($this->rows[$id])) {
            $pruned = new Row();
            foreach ($row->elements as $element) {
                array_push($pruned->elements, ...$element->pruned($this));
            }
            $this->rows[$id] = $pruned;
        }

        return $this->rows[$id];
    }
}
