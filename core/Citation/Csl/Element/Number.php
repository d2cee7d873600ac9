<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl\Element;

use Embrel\Citation\Csl\Dress;
use Embrel\Citation\Csl\Flat;
use Embrel\Citation\Csl\Numbers;
use Embrel\Citation\Csl\Printing;
use Embrel\Language\Counter;

/** A number in figures, as an ordinal or in Roman figures; what is no number is said as it stands. */
final class Number extends Element
{
    public function __construct(Dress $dress, private readonly string $variable, private readonly string $form)
    {
        $this->dress = $dress;
    }

    public function pruned(Pruning $pruning): array
    {
        return [$pruning->lacks($this->variable) ? new Silent() : $this];
    }

    public function render(Printing $printing): string
    {
        return Flat::counted(parent::render($printing), Flat::plain($printing->text($this->variable)));
    }

    protected function says(Printing $printing): string
    {
        $printing->called = true;
        $printing->readsLocator = $printing->readsLocator || $this->variable === 'locator';
        $text = $printing->isSpent($this->variable) ? '' : $printing->text($this->variable);
        if ($text === '') {
            return '';
        }
        $printing->found($this->variable);
        if (\in_array($this->variable, ['page', 'locator'], true) && $this->form === 'numeric') {
            return Numbers::ofPages($text, $printing->style);
        }
        if (!Numbers::isNumeric(Flat::plain($text))) {
            return $text;
        }
        $text = (string) preg_replace(['/\s*[-–]\s*/u', '/\s*,\s*/', '/\s*&\s*/'], ['–', ', ', ' & '], $text);
        if ($this->form === 'numeric') {
            return $text;
        }
        $gender = $printing->locale->gender($this->variable);

        return (string) preg_replace_callback('/(?<![\p{L}\d])\d+(?![\p{L}\d])/u', fn(array $m): string => match ($this->form) {
            'ordinal' => $printing->locale->ordinal((int) $m[0], $gender),
            'long-ordinal' => $printing->locale->longOrdinal((int) $m[0], $gender),
            'roman' => (int) $m[0] < 6000 ? Counter::LowerRoman->write((int) $m[0]) : $m[0],
            default => $m[0],
        }, $text);
    }
}
