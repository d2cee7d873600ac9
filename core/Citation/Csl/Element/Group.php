<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl\Element;

use Embrel\Citation\Csl\Dress;
use Embrel\Citation\Csl\Printing;

/** Elements with something between them, or what a macro says; nothing of it is said when every variable that it calls is empty. */
final class Group extends Element
{
    public function __construct(
        Dress $dress,
        private readonly Row $row,
        private readonly string $delimiter = '',
        public readonly bool $isMacro = false,
    ) {
        $this->dress = $dress;
    }

    public function pruned(Pruning $pruning): array
    {
        $row = $pruning->row($this->row);

        return match (true) {
            $row->elements === [] => [],
            $row->isSilent() => [new Silent()],
            default => [new self($this->dress, $row, $this->delimiter, $this->isMacro)],
        };
    }

    /** @param list<string> $row */
    public function into(array &$row, Printing $printing): void
    {
        $text = $this->says($printing);
        if ($text === '') {
            return;
        }
        $row[] = $this->dress->isPlain && !$printing->strips ? $text : $this->dress->alone($text, $printing, false, false, true);
    }

    protected function says(Printing $printing): string
    {
        $strips = $printing->strips;
        $printing->strips = $strips || $this->dress->stripsPeriods;
        $text = $printing->group($this->row, $this->delimiter);
        $printing->strips = $strips;

        return $text;
    }
}
