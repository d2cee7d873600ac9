<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl;

use Embrel\Citation\Csl\Element\Pruning;
use Embrel\Citation\Csl\Element\Row;

/** <citation> or <bibliography>: its options, its keys and what it prints. */
final class Layout
{
    private readonly Shapes $shapes;

    private readonly Shapes $first;

    private readonly Shapes $others;

    /** @var array<string, Row> */
    private array $ofTypes = [];

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
    ) {
        $this->shapes = new Shapes($row);
        $this->first = new Shapes(Row::of(\array_slice($row->elements, 0, 1)));
        $this->others = new Shapes(Row::of(\array_slice($row->elements, 1)));
    }

    /** What it prints of items like one. */
    public function row(Item $item): Row
    {
        return $this->shapes->of($item);
    }

    /** What it prints of items of one type, whatever they say. */
    public function rowOfType(string $type): Row
    {
        return $this->ofTypes[$type] ??= Pruning::ofType($type)->row($this->row);
    }

    /** @return array{Row, Row} what it prints, in two: its first element, and what follows */
    public function inTwo(Item $item): array
    {
        return [$this->first->of($item), $this->others->of($item)];
    }

    public function is(string $option): bool
    {
        return ($this->options[$option] ?? '') === 'true';
    }
}
