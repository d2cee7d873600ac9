<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl;

use Embrel\Citation\Csl\Element\Pruning;
use Embrel\Citation\Csl\Element\Row;

/** One key by which cites or entries are sorted. */
final class Key
{
    /** @var array<string, Row> */
    private array $macros = [];

    /** @param array{int, int, bool}|null $names names-min, names-use-first, names-use-last */
    public function __construct(
        public readonly string $variable,
        private readonly ?Row $macro,
        public readonly bool $descends,
        public readonly ?array $names,
    ) {}

    /** What its macro prints of items of one type; nothing where it goes by a variable. */
    public function macro(string $type): ?Row
    {
        return $this->macro === null ? null : $this->macros[$type] ??= (new Pruning($type))->row($this->macro);
    }
}
