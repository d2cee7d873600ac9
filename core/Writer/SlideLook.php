<?php

declare(strict_types=1);

namespace Embrel\Writer;

use Embrel\Document\Style;
use Embrel\Layout\Map\Palette;

/** How slides look, out of the style of a draft: its fonts, and whether they have colours. */
final readonly class SlideLook
{
    public const GROUND = '#FFFFFF';
    private const OURS = ['Literata', 'Atkinson Hyperlegible Next'];

    private function __construct(public string $font, public string $titleFont, public bool $isDyed, public bool $isCentred) {}

    public static function of(Style $style): self
    {
        // What is set as on a typewriter has one colour.
        $isTyped = $style->headingSizes[0] <= $style->size;

        return new self(self::atHand($style->font), self::atHand($style->headingFont), !$isTyped, $style->isTitleCentred);
    }

    /** Slides carry no fonts: instead of those that come with us, one that most machines have. */
    private static function atHand(string $font): string
    {
        return \in_array($font, self::OURS, true) ? Style::SUBSTITUTES[Style::family($font)] : $font;
    }

    /** Of the number and the line beside a section, as #rrggbb. */
    public function dye(string $dye): string
    {
        return $this->isDyed ? Palette::dye($dye) : Style::SOFT;
    }
}
