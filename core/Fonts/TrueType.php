<?php

declare(strict_types=1);

namespace Embrel\Fonts;

/** A font of TrueType outlines, as a whole in memory. */
final class TrueType extends Sfnt
{
    /** @var array<string, array{int, int}> table → offset, length */
    private array $tables;

    /** @throws \RuntimeException when it is not such a font */
    public function __construct(public readonly string $bytes)
    {
        $this->tables = self::directory($bytes);
        isset($this->tables['cmap'], $this->tables['glyf']) || throw new \RuntimeException('A font cannot be read.');
        parent::__construct();
    }

    public function table(string $name): string
    {
        return substr($this->bytes, ...$this->tables[$name] ?? [0, 0]);
    }
}
