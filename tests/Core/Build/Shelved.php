<?php

declare(strict_types=1);

namespace Tests\Core\Build;

use Embrel\Document\Pictures;

/** Pictures that are at hand. */
final class Shelved implements Pictures
{
    /** @var array<string, string> */
    private array $all = [];

    /** @param list<string> $files */
    public function __construct(array $files)
    {
        foreach ($files as $bytes) {
            $this->all[hash('sha256', $bytes)] = $bytes;
        }
    }

    /** @return list<string> */
    public function ids(): array
    {
        return array_map(strval(...), array_keys($this->all));
    }

    public function bytes(string $id): ?string
    {
        return $this->all[$id] ?? null;
    }
}
