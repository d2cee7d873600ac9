<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl;

use Embrel\Citation\Csl\Element\Pruning;
use Embrel\Citation\Csl\Element\Row;

/** <citation> or <bibliography>: its options, its keys and what it prints. */
final class Layout
{
    /** @var array<string, Row> */
    private array $rows = [];

    /** @var array<string, array{Row, Row}> */
    private array $parts = [];

    /**
     * @param array<string, string> $options attributes as they stand in the style
     * @param list<Key>             $keys
     */
    public function __construct(
        public readonly array $options,
        public readonly array $keys,
        private readonly Row $row,
        public readonly Dress $dress,
        public readonly string $delimiter,
        public readonly bool $usesBlocks,
    ) {}

    /** What it prints of items of one type. */
    public function row(string $type): Row
    {
        return $this->rows[$type] ??= (new Pruning($type))->row($this->row);
    }

    /**
     * The same in two: its first element, and what follows.
     *
     * @return array{Row, Row}
     */
    public function parts(string $type): array
    {
        if (!isset($this->parts[$type])) {
            $pruning = new Pruning($type);
            $this->parts[$type] = [new Row(), new Row()];
            foreach ($this->row->elements as $i => $element) {
                array_push($this->parts[$type][min($i, 1)]->elements, ...$element->pruned($pruning));
            }
        }

        return $this->parts[$type];
    }

    public function is(string $option): bool
    {
        return ($this->options[$option] ?? '') === 'true';
    }
}
