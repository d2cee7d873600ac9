<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl;

use Embrel\Citation\Csl\Element\Row;

/** One key by which cites or entries are sorted. */
final class Key
{
    private readonly ?Shapes $macro;

    /** @param array{int, int, bool}|null $names names-min, names-use-first, names-use-last */
    public function __construct(
        public readonly string $variable,
        ?Row $macro,
        public readonly bool $descends,
        public readonly ?array $names,
    ) {
        $this->macro = $macro === null ? null : new Shapes($macro);
    }

    /** What its macro prints of items like one; nothing where it goes by a variable. */
    public function macro(Item $item): ?Row
    {
        return $this->macro?->of($item);
    }
}
