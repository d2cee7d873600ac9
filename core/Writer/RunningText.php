<?php

declare(strict_types=1);

namespace Embrel\Writer;

use Embrel\RichText\Text;

/** The head or foot of a template's pages, gathered as what stands left, centre and right. */
final class RunningText
{
    private const LONGEST = 200;

    /** @var array<int, string> */
    private array $thirds = ['', '', ''];
    /** @var 0|1|2 */
    private int $at = 0;

    /** @param string $align of the paragraph that begins, in the words of either format */
    public function paragraph(string $align): void
    {
        $this->at = ['center' => 1, 'right' => 2, 'end' => 2][$align] ?? 0;
        $this->thirds[$this->at] .= $this->thirds[$this->at] === '' ? '' : ' ';
    }

    public function tab(): void
    {
        $this->at = min(2, $this->at + 1);
    }

    public function put(string $text): void
    {
        $this->thirds[$this->at] .= $text;
    }

    /** @return list<string> */
    public function thirds(): array
    {
        return array_map(static fn(string $third): string => mb_substr(Text::line($third), 0, self::LONGEST), array_values($this->thirds));
    }
}
