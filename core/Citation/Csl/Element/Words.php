<?php

declare(strict_types=1);

namespace Embrel\Citation\Csl\Element;

use Embrel\Citation\Csl\Dress;
use Embrel\Citation\Csl\Flat;
use Embrel\Citation\Csl\Printing;
use Embrel\Citation\Csl\Rich;

/** A term of the locale, or words of the style's own. */
final class Words extends Element
{
    public function __construct(
        Dress $dress,
        private readonly string $value,
        private readonly string $term = '',
        private readonly string $form = 'long',
        private readonly bool $isSeveral = false,
    ) {
        $this->dress = $dress;
    }

    protected function says(Printing $printing): string
    {
        if ($this->term === '') {
            $printing->hasWords = $printing->began = true;

            $text = Rich::spaced(Rich::of(Rich::raised($this->value), $printing->locale->quotes));

            // They stand as the style has them: no mark before them meets theirs.
            $stays = $text !== '' && str_contains(' .,:;!?', $text[0]);

            return ($stays ? Flat::STAYS : '') . $text . (str_ends_with($text, ' ') ? Flat::STAYS : '');
        }
        $text = $printing->words(Rich::spaced($printing->locale->say($this->term, $this->form, $this->isSeveral) ?? ''));

        return str_ends_with($text, ' ') ? $text . Flat::STAYS : $text;
    }
}
