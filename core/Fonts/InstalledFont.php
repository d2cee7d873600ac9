<?php

declare(strict_types=1);

namespace Embrel\Fonts;

/** A font of the machine: only those of its tables are read that are asked for, as it may be large, and one of many in a file. */
final class InstalledFont extends Sfnt
{
    /** As many tables as a font may have, and more. */
    private const DIRECTORY = 12 + 16 * 64;

    /** @var array<string, array{int, int}> table → offset, length */
    private array $tables;
    /** @var array<string, string> */
    private array $read = [];

    /**
     * @param int $index which of the fonts of a collection
     *
     * @throws \RuntimeException when it is not such a font
     */
    public function __construct(public readonly string $path, public readonly int $index = 0)
    {
        $start = $this->bytes(0, 4) === 'ttcf' ? Bytes::long($this->bytes(12 + 4 * $index, 4), 0) : 0;
        $this->tables = self::directory($this->bytes($start, self::DIRECTORY));
        parent::__construct();
    }

    private function bytes(int $at, int $length): string
    {
        return (string) file_get_contents($this->path, false, null, $at, max(0, $length));
    }

    public function table(string $name): string
    {
        return $this->read[$name] ??= isset($this->tables[$name]) ? $this->bytes(...$this->tables[$name]) : '';
    }

    /** Whether its outlines are those of CFF (Adobe technical note 5176), and not of TrueType. */
    public function isCompact(): bool
    {
        return isset($this->tables['CFF ']);
    }
}
