<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl\Element;

use Embrel\Citation\Csl\Dress;
use Embrel\Citation\Csl\Flat;
use Embrel\Citation\Csl\Numbers;
use Embrel\Citation\Csl\Printing;

/** The word for a variable: page or pages, editor or editors. */
final class Label extends Element
{
    public function __construct(
        Dress $dress,
        private readonly string $variable,
        private readonly string $form,
        private readonly string $plural,
    ) {
        $this->dress = $dress;
    }

    protected function says(Printing $printing): string
    {
        $text = Flat::plain($printing->text($this->variable));
        $isSeveral = match (true) {
            $this->plural !== 'contextual' => $this->plural === 'always',
            str_starts_with($this->variable, 'number-of') => (int) preg_replace('/\D+/', '', $text) > 1,
            default => Numbers::isSeveral($text),
        };
        $place = $printing->cite === null || $printing->cite->locator === '' ? 'page' : $printing->cite->label;
        $word = $this->word($this->variable === 'locator' ? $place : $this->variable, $isSeveral, $printing);
        if ($word !== '') {
            $printing->hasWords = $printing->began = true;
        }

        return $word;
    }

    /** The word for a list of names. */
    public function ofNames(string $variable, int $count, Printing $printing): string
    {
        $isSeveral = $this->plural === 'contextual' ? $count > 1 : $this->plural === 'always';

        return $this->dress->on($this->word($variable, $isSeveral, $printing), $printing, false, true);
    }

    private function word(string $term, bool $isSeveral, Printing $printing): string
    {
        return $printing->locale->say($term, $this->form, $isSeveral) ?? '';
    }
}
